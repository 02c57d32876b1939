interface Chunk {
  readonly file: string;
  readonly css?: readonly string[];
}

/** Fetches every file of the build, one after another, so that it is in the browser without the server. */
async function fetchAhead(): Promise<void> {
  const answer = await fetch('/manifest.json');
  if (!answer.ok) return;
  const chunks = Object.values((await answer.json()) as Record<string, Chunk>);
  for (const file of new Set(chunks.flatMap(({ file: script, css = [] }) => [script, ...css])))
    await fetch(`/${file}`, { priority: 'low' }).then((one) => one.arrayBuffer());
}

void fetchAhead()
  .catch(() => undefined)
  .finally(() => close());
