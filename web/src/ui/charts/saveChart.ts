import { saveFile } from '../browser/index.ts';

/** What a drawing takes from the page's styles; everything else is in its attributes. */
const STYLED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-opacity',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-variant-numeric',
  'text-anchor',
] as const;
/** Points of a picture for each point of the drawing: sharp on paper. */
const PNG_SCALE = 3;

/** A drawing of the page by itself: with its colours, its fonts and its ground. */
async function standalone(drawn: SVGSVGElement): Promise<SVGSVGElement> {
  const copy = drawn.cloneNode(true) as SVGSVGElement;
  const [from, to] = [drawn, copy].map((one) => [one, ...one.querySelectorAll('*')]) as [
    Element[],
    SVGElement[],
  ];
  from.forEach((element, i) => {
    const style = getComputedStyle(element);
    for (const name of STYLED) to[i]!.style.setProperty(name, style.getPropertyValue(name));
    to[i]!.removeAttribute('class');
  });
  // What can be dragged is no part of a picture.
  for (const handle of copy.querySelectorAll('[role="slider"]')) handle.remove();
  const { width, height } = drawn.viewBox.baseVal;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  ground.setAttribute('width', String(width));
  ground.setAttribute('height', String(height));
  ground.setAttribute('fill', getComputedStyle(document.body).backgroundColor);
  const style = document.createElementNS('http://www.w3.org/2000/svg', 'style');
  style.textContent = (await fontFaces()).join('\n');
  copy.prepend(style, ground);
  return copy;
}

/** The page's own Latin fonts, written into the file. */
async function fontFaces(): Promise<string[]> {
  const faces = [...document.styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .filter((rule) => rule instanceof CSSFontFaceRule)
    .filter(({ style }) => style.getPropertyValue('src').includes('-latin-wght'));
  return Promise.all(
    faces.map(async ({ style, parentStyleSheet }) => {
      const [, path = ''] = /url\("?([^")]+)"?\)/u.exec(style.getPropertyValue('src')) ?? [];
      const font = await fetch(new URL(path, parentStyleSheet?.href ?? document.baseURI));
      const data = await dataUrlOf(await font.blob());
      const family = style.getPropertyValue('font-family');
      const weight = style.getPropertyValue('font-weight');
      return `@font-face{font-family:${family};font-weight:${weight};src:url(${data})}`;
    }),
  );
}

const dataUrlOf = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('The fonts cannot be read.'));
    reader.readAsDataURL(blob);
  });

/**
 * Gives a chart to whoever sits at the page, as it stands, as a file.
 *
 * @param of.name without its ending
 */
export async function saveChart(input: {
  svg: SVGSVGElement;
  name: string;
  as: 'svg' | 'png';
}): Promise<void> {
  const { svg, name, as } = input;
  const alone = await standalone(svg);
  const text = new XMLSerializer().serializeToString(alone);
  if (as === 'svg') return saveFile({ name: `${name}.svg`, data: text, type: 'image/svg+xml' });
  const image = new Image();
  image.src = await dataUrlOf(new Blob([text], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = PNG_SCALE * image.width;
  canvas.height = PNG_SCALE * image.height;
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  const data = await new Promise<Blob>((resolve) =>
    canvas.toBlob((blob) => resolve(blob!), 'image/png'),
  );
  saveFile({ name: `${name}.png`, data, type: 'image/png' });
}
