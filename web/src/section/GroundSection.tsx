import { useMemo, useRef, useState, type PointerEvent } from 'react';

import type { Evaluation } from '../api/client';
import type { DisplayList, Frame } from './displayList';
import { layOut } from './layOut';
import { Flags } from './Flags';
import type { SectionHand } from './hand';
import { HoverLine, type HoverHandle } from './HoverLine';
import { Patterns, Word } from './ink';
import { inWords } from './inWords';
import { captionAt } from './labels';
import { Frosts, Ground, Names, Stands, Surface, TimeAxis } from './layers';
import { Pins } from './Pins';
import { planBDays } from './planB';
import { PlanBMarks } from './PlanBMarks';
import { useZoom } from './useZoom';
import { WeatherRibbon } from './WeatherRibbon';
import { addDays, dateOf, dayNumber, spokenDate } from '../ui/days';

interface Props {
  evaluation: Evaluation;
  fold: 'full' | 'strip';
  width: number;
  height: number;
  us: boolean;
  /** The crop whose window is in hand. */
  inHand?: string;
  /** The days the bench is about. */
  focus?: [string, string];
  /** The operation that the step in hand is about. */
  inStep?: string;
  /** Show only the days the bench is about, for want of width. */
  oneWindow?: boolean;
  moved: Record<string, string>;
  /** A picture, with nothing to be taken hold of. */
  still?: boolean;
  hand: SectionHand;
}

/** px of a letter of the words on what is drawn, about. */
const CAPTION_PX = 5.6;
const WINDOW_MARGIN_DAYS = 25;
/** px a stand is pressed and moved before it is carried. */
const CARRY_SLACK = 5;
/** px beside the time axis of the unfolded section and the strip. */
const SIDES = { left: 52, right: 34 };

/** The heavy bar on the axis for what the bench is about, and the two lines that fan out to it. */
function Wedge({ d, focus }: { d: DisplayList; focus: [string, string] }) {
  const clamp = (x: number) => Math.min(d.scale.x1, Math.max(d.scale.x0, x));
  const a = clamp(d.scale.x(focus[0]));
  const b = clamp(d.scale.x(focus[1]));
  if (b - a < 1) return null;
  const y = d.height - 9;
  return (
    <>
      <path d={`M${a} ${d.bottom}H${b}`} stroke="var(--ink)" strokeWidth="3.6" fill="none" />
      <path
        d={`M${a} ${d.bottom}V${y}L0 ${d.height}M${b} ${d.bottom}V${y}L${d.width} ${d.height}`}
        stroke="var(--rule)"
        strokeWidth="0.9"
        fill="none"
      />
    </>
  );
}

/** Fades what the bench is not about. */
function Veil({ d, focus }: { d: DisplayList; focus: [string, string] }) {
  const a = Math.max(d.scale.x0, d.scale.x(focus[0]));
  const b = Math.min(d.scale.x1, d.scale.x(focus[1]));
  const h = d.bottom - 2;
  return (
    <>
      <rect
        x={d.scale.x0}
        y="2"
        width={Math.max(0, a - d.scale.x0)}
        height={h}
        fill="var(--paper)"
        fillOpacity="0.6"
      />
      <rect
        x={b}
        y="2"
        width={Math.max(0, d.scale.x1 - b)}
        height={h}
        fill="var(--paper)"
        fillOpacity="0.6"
      />
      <path
        d={`M${a} ${d.bottom}V2H${b}V${d.bottom}`}
        stroke="var(--ink)"
        strokeWidth="1.6"
        fill="none"
      />
    </>
  );
}

/** A field's rotation as a cut through the ground over time; its dates are handles. */
export function GroundSection(p: Props) {
  const section = p.evaluation.section;
  const hover = useRef<HoverHandle>(null);
  // the time scale stands still while a date is dragged, or it would run away under the hand
  const [held, setHeld] = useState<{ from: string; to: string }>();
  const [first, last] = p.oneWindow && p.focus ? p.focus : [];
  const svg = useRef<SVGSVGElement>(null);
  const wholeFrom = first ? addDays(first, -WINDOW_MARGIN_DAYS) : section.from;
  const wholeTo = last ? addDays(last, WINDOW_MARGIN_DAYS) : section.to;
  const zoom = useZoom(
    svg,
    { from: dayNumber(wholeFrom), to: dayNumber(wholeTo) },
    { x0: SIDES.left, x1: p.width - SIDES.right },
  );
  const from = zoom.view ? dateOf(Math.round(zoom.view.from)) : wholeFrom;
  const to = zoom.view ? dateOf(Math.round(zoom.view.to)) : wholeTo;
  const frame: Frame = useMemo(
    () => ({
      width: p.width,
      height: p.height,
      fold: p.fold,
      us: p.us,
      from: held?.from ?? from,
      to: held?.to ?? to,
      notes: p.evaluation.notes,
      windows: p.evaluation.windows,
      planB: planBDays(p.evaluation),
      moved: p.moved,
    }),
    [p.width, p.height, p.fold, p.us, held, from, to, p.evaluation, p.moved],
  );
  const d = useMemo(() => layOut(section, frame), [section, frame]);
  const press = useRef<{ subject: string; x: number; days: number; moving: boolean }>(undefined);
  const pxPerDay = (d.scale.x1 - d.scale.x0) / (d.scale.to - d.scale.from);
  const carry = {
    down: (e: PointerEvent<SVGSVGElement>) => {
      const stand = (e.target as Element).closest('[data-stand]');
      if (e.button !== 0 || e.pointerType === 'touch' || !stand) return false;
      press.current = {
        subject: stand.getAttribute('data-stand') ?? '',
        x: e.clientX,
        days: 0,
        moving: false,
      };
      return true;
    },
    move: (e: PointerEvent<SVGSVGElement>) => {
      const c = press.current;
      if (!c || e.buttons === 0) return;
      if (!c.moving && Math.abs(e.clientX - c.x) < CARRY_SLACK) return;
      if (!c.moving) {
        c.moving = true;
        setHeld({ from, to });
      }
      const days = Math.round((e.clientX - c.x) / pxPerDay);
      if (days !== c.days) {
        c.days = days;
        p.hand.dragStand(c.subject, days);
      }
    },
    end: (how: 'drop' | 'cancel') => {
      const c = press.current;
      press.current = undefined;
      if (!c?.moving) return;
      setHeld(undefined);
      if (c.days !== 0) p.hand[how]();
    },
  };
  const full = p.fold === 'full';
  const empty = section.stands.length === 0;
  const meaning = section.ground
    ? 'simulated, middle of the weather years; dotted: 8 years in 10; blue: water in the soil'
    : 'outlines of typical height, not a forecast';
  const moves = zoom.view ? '; 0 shows the whole rotation' : '; wheel or + to zoom';
  const said = p.still ? meaning : `${meaning}${moves}`;
  const caption = captionAt(said.length * CAPTION_PX, d.scale.x0, d.scale.x1, d.todayX);
  const id = 'section';
  return (
    <svg
      id={id}
      xmlns="http://www.w3.org/2000/svg"
      width={p.width}
      height={p.height}
      viewBox={`0 0 ${p.width} ${p.height}`}
      ref={svg}
      role="group"
      aria-label="Ground section: + and - zoom, arrows move, 0 shows all of it; comma and full stop move the line that shows the figures of a day, m marks a day to compare with"
      tabIndex={0}
      className={`block select-none ${zoom.view ? 'cursor-grab' : ''}`}
      onPointerDown={(e) => {
        if (!carry.down(e)) zoom.ground.down(e);
      }}
      onPointerUp={() => {
        carry.end('drop');
        zoom.ground.up();
      }}
      onPointerMove={(e) => {
        carry.move(e);
        zoom.ground.move(e);
        hover.current?.at(e);
      }}
      onPointerLeave={() => {
        carry.end('drop');
        zoom.ground.up();
        hover.current?.gone();
      }}
      onKeyDown={(e) => {
        if (e.key === 'Escape') carry.end('cancel');
        if (e.target !== e.currentTarget || e.ctrlKey || e.metaKey || e.altKey) return;
        const hovered = hover.current;
        if (e.key === ',' || e.key === '.') hovered?.move(e.key === ',' ? -7 : 7);
        else if (e.key === 'm' && hovered?.isShown()) hovered.mark();
        else if (!zoom.key(e.key)) return;
        e.preventDefault();
      }}
      onClick={(e) => {
        if (e.shiftKey) {
          hover.current?.mark();
          return;
        }
        const stand = (e.target as Element).closest('[data-stand]');
        if (stand) p.hand.pick(stand.getAttribute('data-stand') ?? '');
      }}
    >
      <g role="img" aria-label={inWords(section, p.us, p.evaluation)}>
        <Patterns prefix={id} />
        <Ground d={d} />
        <Stands d={d} prefix={id} thin={!full} />
        <Surface d={d} prefix={id} thin={!full} />
        {!full && p.focus && <Veil d={d} focus={p.focus} />}
        {full && (d.ribbon ? <WeatherRibbon d={d} /> : <Frosts d={d} />)}
        <PlanBMarks d={d} />
        <TimeAxis d={d} />
        {full && <Names d={d} inHand={p.inHand} />}
        {p.focus && <Wedge d={d} focus={p.focus} />}
        {d.todayX !== undefined && (
          <g>
            <path
              d={`M${d.todayX - 1.2} ${full ? 16 : 2}V${d.bottom}M${d.todayX + 1.2} ${full ? 16 : 2}V${d.bottom}`}
              stroke="var(--ink)"
              strokeWidth="0.8"
              fill="none"
            />
            {full && (
              <Word
                x={Math.min(d.width - 60, Math.max(60, d.todayX))}
                y={12}
                size={11.5}
                weight={700}
                anchor="middle"
              >
                today, {spokenDate(section.today)}
              </Word>
            )}
          </g>
        )}
        {empty && full && (
          <Word
            x={(d.scale.x0 + d.scale.x1) / 2}
            y={d.ground - 14}
            text
            italic
            size={15}
            fill="var(--ink2)"
            anchor="middle"
          >
            Put the first crop here: step Rotation
          </Word>
        )}
        {!empty && full && (
          <Word
            x={caption.side === 'left' ? d.scale.x0 : d.scale.x1}
            y={12}
            text
            italic
            size={12.5}
            fill="var(--ink2)"
            anchor={caption.side === 'left' ? 'start' : 'end'}
          >
            {!caption.short ? said : section.ground ? 'simulated' : 'typical heights'}
          </Word>
        )}
      </g>
      <HoverLine ref={hover} section={section} d={d} us={p.us} />
      <Pins
        d={d}
        full={full}
        inStep={p.inStep}
        onHold={(on) => setHeld(on ? { from, to } : undefined)}
        hand={p.hand}
      />
      {full && <Flags d={d} onNote={p.hand.note} />}
    </svg>
  );
}
