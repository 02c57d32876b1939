import { drag, type D3DragEvent, type DragContainerElement } from 'd3-drag';
import { select } from 'd3-selection';
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
  const behaviour = drag<SVGGElement, unknown>()
    .container((): DragContainerElement => input.svg.value!)
    .on('drag', ({ x, y }: DragEvent) => {
      cancelAnimationFrame(frame);
      frame = requestAnimationFrame(() => input.moved({ x, y }));
    });
  watch(input.handle, (handle) => handle && select(handle).call(behaviour));
  onScopeDispose(() => cancelAnimationFrame(frame));
}
