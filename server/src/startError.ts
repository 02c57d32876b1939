/** Why Ratio cannot start, in one sentence, and what to do. */
export class StartError extends Error {
  override readonly name = 'StartError';
}
