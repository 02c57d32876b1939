/** Fetches every file that is not here yet, one after another, so that it is here without the server. */
async function fetchAhead(): Promise<void> {
  const answer = await fetch('/later-files.json');
  if (!answer.ok) return;
  for (const file of (await answer.json()) as readonly string[])
    await fetch(file, { priority: 'low' }).then((one) => one.arrayBuffer());
}

void fetchAhead()
  .catch(() => undefined)
  .finally(() => close());
