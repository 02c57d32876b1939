/** Gives a text to whoever sits at the page, as a file. */
export function saveFile(of: { name: string; text: string; type?: string }): void {
  const { name, text, type = 'application/json' } = of;
  const href = URL.createObjectURL(new Blob([text], { type }));
  const link = Object.assign(document.createElement('a'), { href, download: name });
  link.click();
  URL.revokeObjectURL(href);
}
