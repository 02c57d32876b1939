import type { Page } from '@playwright/test';

/**
 * Texts and marks of a page that do not stand as they should: beyond the window, cut by something around
 * them, over another one, an amount without its unit beside it, or in a drawing so small that its letters
 * cannot be read at arm's length.
 *
 * @returns a line for each, with the text
 */
export const misfits = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const SLACK_PX = 2;
    const LETTER_PX = 11;
    /** A figure with its unit, and nothing else. */
    const AMOUNT = /^[+−]?[\d.,]+\s(?:fl\s)?[a-zA-Z°%/]+$/u;
    interface Standing {
      readonly text: string;
      readonly box: DOMRect;
      readonly parent: Element;
    }
    const found: Standing[] = [];
    const wrong: string[] = [];

    const isShown = (element: Element): boolean =>
      element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
      element.closest('.visually-hidden, .skip, [aria-hidden="true"] .sheet, .sheet') === null;
    const scrolls = (overflow: string): boolean => overflow === 'auto' || overflow === 'scroll';

    /** What is around a text and does not let it out, from the inside outwards. */
    function cutBy({ box, parent }: Standing): string | null {
      for (let around: Element | null = parent; around; around = around.parentElement) {
        const { overflowX, overflowY, position } = getComputedStyle(around);
        if (scrolls(overflowX)) return null;
        const frame = around.getBoundingClientRect();
        const clips = (overflow: string) => overflow === 'hidden' || overflow === 'clip';
        if (
          clips(overflowX) &&
          (box.right > frame.right + SLACK_PX || box.left < frame.left - SLACK_PX)
        )
          return `sideways by ${around.className || around.tagName}`;
        if (
          clips(overflowY) &&
          !(around instanceof SVGElement) &&
          (box.bottom > frame.bottom + SLACK_PX || box.top < frame.top - SLACK_PX)
        )
          return `in height by ${around.className || around.tagName}`;
        if (position === 'fixed') return null;
      }
      if (box.right > innerWidth + SLACK_PX || box.left < -SLACK_PX) return 'by the window';
      return null;
    }

    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent?.trim() ?? '';
      const parent = node.parentElement;
      if (text === '' || !parent || !isShown(parent)) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      const boxes = [...range.getClientRects()].filter(
        ({ width, height }) => width > 1 && height > 1,
      );
      for (const box of boxes) found.push({ text, box, parent });
      if (AMOUNT.test(text) && new Set(boxes.map(({ top }) => Math.round(top))).size > 1)
        wrong.push(`“${text}” is broken over lines`);
    }
    // The mark and the icons stand among the words.
    for (const parent of document.querySelectorAll('a > svg, button svg')) {
      const box = parent.getBoundingClientRect();
      const name = parent.closest('a, button')?.getAttribute('aria-label') ?? 'a button';
      if (isShown(parent)) found.push({ text: `mark of ${name}`, box, parent });
    }
    for (const input of document.querySelectorAll('input')) {
      if (!isShown(input) || input.type !== 'text') continue;
      if (input.scrollWidth > input.clientWidth + SLACK_PX && input.value !== '')
        wrong.push(`“${input.value}” is cut by its field, ${input.getAttribute('aria-label')}`);
    }
    for (const one of found) {
      const by = cutBy(one);
      if (by !== null) wrong.push(`“${one.text.slice(0, 60)}” is cut ${by}`);
    }
    for (const drawn of document.querySelectorAll<SVGTextElement>('svg text')) {
      const { a = 1, b = 0 } = drawn.getScreenCTM() ?? {};
      const px = parseFloat(getComputedStyle(drawn).fontSize) * Math.hypot(a, b);
      if (isShown(drawn) && px < LETTER_PX)
        wrong.push(`“${drawn.textContent?.trim()}” is drawn ${px.toFixed(1)} px high`);
    }
    /** A sticky foot lies over what scrolls below it. */
    const isOnTop = (element: Element): boolean => {
      for (let around: Element | null = element; around; around = around.parentElement)
        if (['sticky', 'fixed'].includes(getComputedStyle(around).position)) return true;
      return false;
    };
    /** What scrolls within a part of the window is covered by what stands around that. */
    const isScrolledAway = ({ box, parent }: Standing): boolean => {
      for (let around: Element | null = parent; around; around = around.parentElement) {
        const { top, bottom } = around.getBoundingClientRect();
        if (scrolls(getComputedStyle(around).overflowY) && (box.bottom > bottom || box.top < top))
          return true;
      }
      return false;
    };
    const still = found.filter((one) => !isOnTop(one.parent) && !isScrolledAway(one));
    still.forEach((a, i) => {
      for (const b of still.slice(i + 1)) {
        if (a.parent === b.parent || a.parent.contains(b.parent) || b.parent.contains(a.parent))
          continue;
        const wide = Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left);
        const high = Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top);
        // Boxes of lines are higher than their letters.
        if (wide > SLACK_PX && high > 0.4 * Math.min(a.box.height, b.box.height))
          wrong.push(`“${a.text.slice(0, 40)}” lies over “${b.text.slice(0, 40)}”`);
      }
    });
    return [...new Set(wrong)];
  });
