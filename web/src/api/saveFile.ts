/** Gives a text to whoever sits at the page, as a file. */
export function saveFile({ name, text }: { name: string; text: string }): void {
  const href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  const link = Object.assign(document.createElement('a'), { href, download: name });
  link.click();
  URL.revokeObjectURL(href);
}
