interface Chunk {
  readonly file: string;
  readonly css?: readonly string[];
}

/** Fetches every script and style of the build, one after another, so that they are in the browser without the server. */
async function fetchAhead(): Promise<void> {
  const answer = await fetch('/manifest.json');
  if (!answer.ok) return;
  const chunks = Object.values((await answer.json()) as Record<string, Chunk>);
  const files = chunks.flatMap(({ file, css = [] }) => [file, ...css]);
  // A font is fetched when one of its letters is shown.
  for (const file of new Set(files.filter((one) => /\.(?:js|css)$/.test(one))))
    await fetch(`/${file}`, { priority: 'low' }).then((one) => one.arrayBuffer());
}

void fetchAhead()
  .catch(() => undefined)
  .finally(() => close());
