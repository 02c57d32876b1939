/** Something to heed: what the reason is and what to do. Never only a colour. */
export interface Caution {
  readonly code: string;
  readonly severity: 'note' | 'warn';
  readonly text: string;
}
