import { ref, type Ref } from 'vue';

/**
 * Dragging inside an SVG: pointer positions in its own coordinates, and one update per frame.
 *
 * @param input.svg the element whose viewBox gives the coordinates
 * @param input.moved told the position while the pointer is down
 */
export function useSvgDrag(input: {
  svg: Ref<SVGSVGElement | null>;
  moved: (point: { x: number; y: number }) => void;
}) {
  const dragging = ref(false);
  let frame = 0;

  function pointOf(event: PointerEvent): { x: number; y: number } | null {
    const matrix = input.svg.value?.getScreenCTM();
    if (!matrix) return null;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return { x, y };
  }

  return {
    dragging,
    down(event: PointerEvent): void {
      (event.currentTarget as Element).setPointerCapture(event.pointerId);
      dragging.value = true;
    },
    move(event: PointerEvent): void {
      if (!dragging.value) return;
      const point = pointOf(event);
      cancelAnimationFrame(frame);
      if (point) frame = requestAnimationFrame(() => input.moved(point));
    },
    up(): void {
      dragging.value = false;
    },
  };
}
