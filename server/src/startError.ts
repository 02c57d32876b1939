/** Why Ratio cannot start, in one sentence for whoever started it, and what to do. */
export class StartError extends Error {
  override readonly name = 'StartError';
}
