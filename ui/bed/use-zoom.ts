'use client';

import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useRef, useState } from 'react';

const MOST = 8;
const KEY_STEP = 1.3;
const KEY_PAN = 24;

/**
 * Zoom and pan of a drawing: the wheel with Ctrl or while the drawing has the focus, two fingers,
 * dragging once it is larger than its place, and the keys + − 0 and Shift with the arrows.
 */
export function useZoom() {
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);
  const [transform, setTransform] = useState(zoomIdentity);

  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    let scale = 1;
    const zooming = zoom<SVGSVGElement, unknown>()
      .scaleExtent([1, MOST])
      .filter((event: Event) => {
        if (event instanceof WheelEvent) return event.ctrlKey || document.activeElement === element;
        if (event.type === 'dblclick') return false;
        return scale > 1 || ('touches' in event && (event as TouchEvent).touches.length > 1);
      })
      .on('zoom', (event: { transform: typeof zoomIdentity }) => {
        scale = event.transform.k;
        setTransform(event.transform);
      });
    behaviour.current = zooming;
    const selection = select(element);
    selection.call(zooming);
    return () => {
      selection.on('.zoom', null);
    };
  }, []);

  const by = useCallback((factor: number) => {
    if (svg.current && behaviour.current) behaviour.current.scaleBy(select(svg.current), factor);
  }, []);
  const whole = useCallback(() => {
    if (svg.current && behaviour.current)
      behaviour.current.transform(select(svg.current), zoomIdentity);
  }, []);

  /** True when the key was one of the zoom's. */
  const onKey = useCallback(
    (event: { readonly key: string; readonly shiftKey: boolean }): boolean => {
      if (event.key === '+' || event.key === '=') by(KEY_STEP);
      else if (event.key === '-') by(1 / KEY_STEP);
      else if (event.key === '0') whole();
      else if (event.shiftKey && event.key.startsWith('Arrow') && svg.current) {
        const [x, y] = { Left: [1, 0], Right: [-1, 0], Up: [0, 1], Down: [0, -1] }[
          event.key.slice(5) as 'Left' | 'Right' | 'Up' | 'Down'
        ] as [number, number];
        behaviour.current?.translateBy(select(svg.current), x * KEY_PAN, y * KEY_PAN);
      } else return false;
      return true;
    },
    [by, whole],
  );

  return { svg, transform: transform.toString(), zoomed: transform.k > 1, by, whole, onKey };
}
