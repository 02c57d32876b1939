import type { D3DragEvent, DragContainerElement } from 'd3-drag';
import { onScopeDispose, watch, type Ref } from 'vue';

type DragEvent = D3DragEvent<SVGGElement, unknown, unknown>;

/**
 * Dragging inside an SVG: pointer positions in its own coordinates, and one update per frame.
 *
 * @param input.handle what is dragged
 * @param input.svg the element whose viewBox gives the coordinates
 * @param input.moved called with the position while the pointer is down
 */
export function useSvgDrag(input: {
  handle: Readonly<Ref<SVGGElement | null>>;
  svg: Readonly<Ref<SVGSVGElement | null>>;
  moved: (point: { x: number; y: number }) => void;
}): void {
  let frame = 0;
  // Fetched behind what is shown: keys move it before, a pointer a moment later. Where it does not come,
  // it is asked for again when somebody reaches for the handle.
  async function attach(handle: SVGGElement): Promise<void> {
    const fetched = await Promise.all([import('d3-drag'), import('d3-selection')]).catch(
      () => null,
    );
    if (!fetched) {
      handle.addEventListener('pointerenter', () => void attach(handle), { once: true });
      return;
    }
    const [{ drag }, { select }] = fetched;
    const behaviour = drag<SVGGElement, unknown>()
      .container((): DragContainerElement => input.svg.value!)
      .on('drag', ({ x, y }: DragEvent) => {
        cancelAnimationFrame(frame);
        frame = requestAnimationFrame(() => input.moved({ x, y }));
      });
    select(handle).call(behaviour);
  }
  watch(input.handle, (handle) => handle && void attach(handle));
  onScopeDispose(() => cancelAnimationFrame(frame));
}
