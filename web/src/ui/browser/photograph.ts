/** As large as a photograph of a bench need be, px along its longer side. */
const MOST_PX = 1600;
const QUALITY = 0.8;

/**
 * A photograph as it is sent: upright, no larger than need be, and without what the camera added.
 *
 * @throws where the browser cannot read it as an image
 */
export async function smallPhotograph(file: Blob): Promise<Blob> {
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, MOST_PX / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('It cannot be made smaller.'))),
      'image/jpeg',
      QUALITY,
    ),
  );
}
