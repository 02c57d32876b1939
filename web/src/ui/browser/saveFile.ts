/** Downloads a text or a picture as a file. */
export function saveFile(input: { name: string; data: string | Blob; type?: string }): void {
  const { name, data, type = 'application/json' } = input;
  const href = URL.createObjectURL(new Blob([data], { type }));
  const link = Object.assign(document.createElement('a'), { href, download: name });
  link.click();
  URL.revokeObjectURL(href);
}
