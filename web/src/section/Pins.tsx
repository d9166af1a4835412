import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';

import type { DisplayList } from './displayList';
import type { SectionHand } from './hand';
import { Word } from './ink';
import { covered, markerRow, type Pin } from './pins';
import { addDays, dateOf, dayNumber, spokenDate } from '../ui/days';

const RAIL = 24;
const ROW = 13;
/** px the pointer must travel before a press becomes a drag. */
const SLACK = 3;

function shape(pin: Pin, y: number) {
  return pin.kind === 'sow'
    ? `M${pin.x - 4.5} ${y - 8}H${pin.x + 4.5}L${pin.x} ${y}Z`
    : `M${pin.x - 4} ${y - 8}H${pin.x + 4}V${y}H${pin.x - 4}Z`;
}

/** A ranging pole on the surface, where the date stands. */
function pole(x: number, y: number, h: number) {
  let bands = '';
  for (let i = 0; i < h; i += 7) bands += `M${x - 1.5} ${y - i}h3v-${Math.min(3.5, h - i)}h-3Z`;
  return bands;
}

/** The dates of the section as handles: dragged, stepped with [ and ], typed after Enter. */
export function Pins({
  d,
  full,
  inStep,
  onHold,
  hand,
}: {
  d: DisplayList;
  full: boolean;
  /** The operation that the step in hand is about. */
  inStep?: string;
  onHold: (on: boolean) => void;
  hand: SectionHand;
}) {
  const [held, setHeld] = useState<string>();
  const [focused, setFocused] = useState<string>();
  const press = useRef<{ x: number; day: number; moving: boolean }>(undefined);
  const pxPerDay = (d.scale.x1 - d.scale.x0) / (d.scale.to - d.scale.from);

  const down = (pin: Pin) => (e: PointerEvent<SVGGElement>) => {
    if (e.button !== 0) return;
    // or the ground would be moved along with the pin
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    press.current = { x: e.clientX, day: dayNumber(pin.date), moving: false };
  };
  const move = (pin: Pin) => (e: PointerEvent<SVGGElement>) => {
    const p = press.current;
    if (!p) return;
    if (!p.moving && Math.abs(e.clientX - p.x) < SLACK) return;
    if (!p.moving) {
      p.moving = true;
      setHeld(pin.key);
      onHold(true);
    }
    const day = dateOf(p.day + Math.round((e.clientX - p.x) / pxPerDay));
    if (day !== pin.date) hand.drag(pin.key, day);
  };
  const end = (how: 'drop' | 'cancel') => {
    const p = press.current;
    press.current = undefined;
    if (!p?.moving) return;
    setHeld(undefined);
    onHold(false);
    hand[how]();
  };
  const key = (pin: Pin) => (e: KeyboardEvent<SVGGElement>) => {
    if (e.key === 'Escape') {
      end('cancel');
      return;
    }
    const back = ['[', '{', 'ArrowLeft', 'ArrowDown', 'PageDown'].includes(e.key);
    const on = [']', '}', 'ArrowRight', 'ArrowUp', 'PageUp'].includes(e.key);
    if ((!back && !on) || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    e.stopPropagation();
    const days = (e.shiftKey || e.key.startsWith('Page') ? 7 : 1) * (back ? -1 : 1);
    hand.step(pin.key, addDays(pin.date, days));
  };

  // the pin of the open step lies on top, so that it can be taken hold of where others stand close to it
  const drawn = [...d.pins].sort((a, b) => Number(a.key === inStep) - Number(b.key === inStep));
  const inHand = (p: Pin) => held === p.key || focused === p.key || inStep === p.key;
  const wordless = covered(d.pins, inHand);
  return (
    <>
      {drawn.map((pin) => {
        const red = inHand(pin);
        const ink = red ? 'var(--hand)' : 'var(--ink)';
        const solid = pin.done || pin.kind === 'end';
        const y = d.bottom + RAIL + markerRow(pin, red) * ROW;
        const h = held === pin.key ? 66 : full ? 14 : 8;
        return (
          <g
            key={pin.key}
            role="slider"
            tabIndex={0}
            aria-label={pin.text.replace(/ \d+ \w+$/, '')}
            aria-valuemin={d.scale.from}
            aria-valuemax={d.scale.to}
            aria-valuenow={dayNumber(pin.date)}
            aria-valuetext={spokenDate(pin.date)}
            data-pin={pin.key}
            className="cursor-ew-resize touch-none"
            onPointerDown={down(pin)}
            onPointerMove={move(pin)}
            onPointerUp={() => end('drop')}
            onPointerCancel={() => end('cancel')}
            onKeyDown={key(pin)}
            onFocus={() => setFocused(pin.key)}
            onBlur={() => setFocused(undefined)}
            onClick={(e) => {
              e.stopPropagation();
              if (pin.subject) hand.pick(pin.subject);
            }}
          >
            <path
              d={`M${pin.x} ${d.ground}V${full ? y - 8 : d.bottom}`}
              stroke={ink}
              strokeWidth={red ? 1.8 : 0.8}
              fill="none"
            />
            <rect
              x={pin.x - 1.5}
              y={d.ground - h}
              width="3"
              height={h}
              fill="var(--paper)"
              stroke={ink}
              strokeWidth="0.9"
            />
            <path d={pole(pin.x, d.ground, h)} fill={ink} />
            <rect
              x={pin.x - 6}
              y={d.ground - 16}
              width="12"
              height={d.bottom + (full ? RAIL + ROW : 4) - d.ground + 16}
              fill="none"
              pointerEvents="all"
            />
            {full && (
              <path
                d={shape(pin, y)}
                fill={solid ? ink : 'var(--paper)'}
                stroke={ink}
                strokeWidth="1.1"
              />
            )}
            {full && (pin.row >= 0 || red) && !wordless.has(pin.key) && (
              <Word
                x={pin.side === 'left' ? pin.x - 8 : pin.x + 8}
                y={y}
                size={11.5}
                weight={red ? 700 : 400}
                fill={ink}
                anchor={pin.side === 'left' ? 'end' : 'start'}
                halo={red}
              >
                {pin.text}
              </Word>
            )}
          </g>
        );
      })}
    </>
  );
}
