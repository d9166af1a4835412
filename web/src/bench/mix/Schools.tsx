import type { Schemas } from '../../api/client';

type School = Schemas['SchoolView'];

function Side({ side, own, mine }: { side: School['sides'][number]; own: boolean; mine: string }) {
  return (
    <div
      className={`px-2 py-1 ${own ? 'border-l-4 border-ink bg-paper2' : 'border-l-4 border-rule2'}`}
    >
      <p className="text-[13.5px]">
        <b>{side.name}</b>: {side.band}{' '}
        {own && (
          <b className="text-[12.5px]">
            {side.has ? 'this farm: the mix is inside' : `this farm: the mix, ${mine}, is outside`}
          </b>
        )}
        {!own && side.has && <i className="text-[12.5px]">where the mix stands</i>}
      </p>
      <p className="text-[12.5px] text-ink2">holds where {side.holds}</p>
    </div>
  );
}

/** Points on which good practitioners differ: the farm's side beside the other, with what decides. */
export function Schools({ schools }: { schools: School[] }) {
  if (schools.length === 0) return null;
  const chosen = schools.filter((s) => s.chosen).length;
  return (
    <details className="mt-3" open={chosen > 0}>
      <summary className="cursor-pointer text-[15px] font-bold">
        Disputed{' '}
        <i className="text-[13px] font-medium text-ink2">
          schools of mixing and what decides between them
          {chosen === 0 && '; choose this farm’s in the step Field'}
        </i>
      </summary>
      {schools.map((s) => {
        const own = s.sides.find((side) => side.id === s.chosen);
        const others = s.sides.filter((side) => side.id !== s.chosen);
        return (
          <section key={s.id} aria-label={s.name} className="mt-2">
            <h4 className="text-[13.5px] font-bold">
              {s.name} <span className="fig font-normal">the mix: {s.mine}</span>
            </h4>
            <div className="mt-0.5 grid grid-cols-2 gap-2 max-[760px]:grid-cols-1">
              {[...(own ? [own] : []), ...others].map((side) => (
                <Side key={side.id} side={side} own={side.id === s.chosen} mine={s.mine} />
              ))}
            </div>
          </section>
        );
      })}
    </details>
  );
}
