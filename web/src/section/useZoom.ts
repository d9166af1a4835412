import { useEffect, useRef, useState, type PointerEvent, type RefObject } from 'react';

export interface View {
  from: number;
  to: number;
}

const LEAST_DAYS = 21;
const WHEEL = 0.0016;
const KEY_ZOOM = 0.7;
const KEY_PAN = 0.2;

/** A view held inside the whole, no narrower than three weeks; undefined when it is the whole. */
export function held(view: View, whole: View): View | undefined {
  const most = whole.to - whole.from;
  const span = Math.max(LEAST_DAYS, Math.min(most, view.to - view.from));
  if (span >= most - 0.5) return undefined;
  const from = Math.max(whole.from, Math.min(whole.to - span, view.from));
  return { from, to: from + span };
}

/** A view grown or shrunk by a factor about a day that stays where it is. */
export function zoomed(view: View, whole: View, factor: number, about: number): View | undefined {
  const span = Math.max(LEAST_DAYS, (view.to - view.from) * factor);
  const share = (about - view.from) / (view.to - view.from);
  return held({ from: about - share * span, to: about + (1 - share) * span }, whole);
}

/** Zoom and pan of time: wheel and pinch about the pointer, dragging the ground, + - 0 and the arrows. */
export function useZoom(
  svg: RefObject<SVGSVGElement | null>,
  whole: View,
  px: { x0: number; x1: number },
) {
  const [view, setView] = useState<View>();
  const shown =
    view && view.from >= whole.from && view.to <= whole.to ? view : held(view ?? whole, whole);
  const now = shown ?? whole;
  const state = useRef({ now, whole, px });
  useEffect(() => {
    state.current = { now, whole, px };
  });
  const pan = useRef<{ x: number; view: View }>(undefined);

  useEffect(() => {
    const el = svg.current;
    if (!el) return;
    let pinch: { apart: number; view: View } | undefined;
    const dayAt = (clientX: number) => {
      const { now: v, px: p } = state.current;
      const x = clientX - el.getBoundingClientRect().left;
      return v.from + ((x - p.x0) / (p.x1 - p.x0)) * (v.to - v.from);
    };
    const wheel = (e: WheelEvent) => {
      const { now: v, whole: w, px: p } = state.current;
      const unzoomed = v.to - v.from >= w.to - w.from - 0.5;
      if (Math.abs(e.deltaX) > Math.abs(e.deltaY) || e.shiftKey) {
        if (unzoomed) return;
        e.preventDefault();
        const days = (((e.deltaX || e.deltaY) * (v.to - v.from)) / (p.x1 - p.x0)) * 1.2;
        setView(held({ from: v.from + days, to: v.to + days }, w));
        return;
      }
      // at the whole rotation a turn outwards is left to the page
      if (e.deltaY > 0 && unzoomed) return;
      e.preventDefault();
      const strength = e.ctrlKey ? 6 : 1;
      setView(zoomed(v, w, Math.exp(e.deltaY * WHEEL * strength), dayAt(e.clientX)));
    };
    const apart = (t: TouchList) => Math.abs((t[0]?.clientX ?? 0) - (t[1]?.clientX ?? 0));
    const touch = (e: TouchEvent) => {
      if (e.touches.length !== 2) {
        pinch = undefined;
        return;
      }
      e.preventDefault();
      const middle = ((e.touches[0]?.clientX ?? 0) + (e.touches[1]?.clientX ?? 0)) / 2;
      pinch ??= { apart: Math.max(20, apart(e.touches)), view: state.current.now };
      const factor = pinch.apart / Math.max(20, apart(e.touches));
      setView(zoomed(pinch.view, state.current.whole, factor, dayAt(middle)));
    };
    const gone = () => (pinch = undefined);
    el.addEventListener('wheel', wheel, { passive: false });
    el.addEventListener('touchmove', touch, { passive: false });
    el.addEventListener('touchend', gone);
    return () => {
      el.removeEventListener('wheel', wheel);
      el.removeEventListener('touchmove', touch);
      el.removeEventListener('touchend', gone);
    };
  }, [svg]);

  const key = (k: string): boolean => {
    const { now: v, whole: w } = state.current;
    const middle = (v.from + v.to) / 2;
    const by = (v.to - v.from) * KEY_PAN;
    if (k === '+' || k === '=') setView(zoomed(v, w, KEY_ZOOM, middle));
    else if (k === '-') setView(zoomed(v, w, 1 / KEY_ZOOM, middle));
    else if (k === '0') setView(undefined);
    else if (k === 'ArrowLeft') setView(held({ from: v.from - by, to: v.to - by }, w));
    else if (k === 'ArrowRight') setView(held({ from: v.from + by, to: v.to + by }, w));
    else return false;
    return true;
  };

  const ground = {
    down: (e: PointerEvent<SVGSVGElement>) => {
      if (e.button !== 0 || !shown || e.pointerType === 'touch') return;
      pan.current = { x: e.clientX, view: now };
    },
    move: (e: PointerEvent<SVGSVGElement>) => {
      const p = pan.current;
      if (!p || e.buttons === 0) {
        pan.current = undefined;
        return;
      }
      const days = ((p.x - e.clientX) * (p.view.to - p.view.from)) / (px.x1 - px.x0);
      setView(held({ from: p.view.from + days, to: p.view.to + days }, whole));
    },
    up: () => (pan.current = undefined),
  };
  return {
    view: shown,
    key,
    ground,
  };
}
