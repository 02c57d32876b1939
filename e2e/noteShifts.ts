interface LayoutShift extends PerformanceEntry {
  readonly hadRecentInput: boolean;
  readonly value: number;
  readonly sources: readonly { readonly node: Node | null }[];
}
declare global {
  var shifts: { by: number; what: unknown[] }[];
}

/** Has a page note what moves on it though nobody touched it; to be run before the page is. */
export function noteShifts(): void {
  globalThis.shifts = [];
  new PerformanceObserver((list) => {
    for (const { hadRecentInput, sources, value: by } of list.getEntries() as LayoutShift[])
      if (!hadRecentInput)
        shifts.push({ by, what: sources.map(({ node }) => node?.textContent?.slice(0, 40)) });
  }).observe({ type: 'layout-shift', buffered: true });
}
