import type { ReactNode } from 'react';

import { BoundaryFile } from '../fields/Boundary';
import { FieldMap } from '../fields/FieldMap';
import { useOpenPlan } from '../plan/context';
import { FigureText } from '../plan/FigureText';
import { KeptText, problemAt, QuantityField } from '../ui/inputs';
import { SharedHistory } from '../ui/SharedHistory';
import { StationField } from '../weather/StationField';
import { BenchHead } from './BenchHead';
import { FarmPart } from './field/FarmPart';
import { GroundPart } from './field/GroundPart';
import { LifePart } from './field/LifePart';
import { ROW } from './field/part';
import { PlacePart } from './field/PlacePart';
import { SoilPart } from './field/SoilPart';
import { WorkPart } from './field/WorkPart';

/** A part of the step that can be folded away; what it holds is said when it is. */
function Part({
  title,
  holds,
  open,
  children,
}: {
  title: string;
  holds?: string;
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <details open={open} className="mt-3 border-t border-rule pt-1.5">
      <summary className="cursor-pointer text-[15px] font-bold">
        {title} {holds && <span className="text-[13px] font-medium text-ink2 italic">{holds}</span>}
      </summary>
      {children}
    </details>
  );
}

const counted = (n: number | undefined, one: string, many: string) =>
  n ? `${n} ${n === 1 ? one : many}` : '';
const said = (...parts: (string | undefined | false)[]) => parts.filter(Boolean).join(', ');

export function FieldStep() {
  const { field, farm, us, fieldSave, state } = useOpenPlan();
  const { save, change } = fieldSave;
  const problems = save.problems;
  const part = { field, change, problems };
  const area = state.evaluation?.field.area;
  return (
    <>
      <BenchHead title="Field" aside="nothing is needed but a place and an area">
        <SharedHistory
          kind="field"
          id={field.id}
          title={`History of ${field.name}`}
          label="History of the field"
          onRestored={() => window.location.reload()}
        />
        <SharedHistory
          kind="farm"
          id={farm.id}
          title={`History of ${farm.name}`}
          label="History of the farm"
          onRestored={() => window.location.reload()}
        />
      </BenchHead>
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        <div className="min-w-64 flex-1">
          <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
            <KeptText
              label="Name"
              value={field.name}
              problem={problemAt(problems, '/name')}
              onChange={(name) => change({ name: name ?? '' })}
            />
            <span>
              <span className="block text-[13px] text-ink2">Area</span>
              <FigureText of={area} big />
            </span>
          </div>
          <div className={ROW}>
            <BoundaryFile
              us={us}
              onFound={(f) => change({ boundary: f.boundary, area: undefined })}
            />
            {!field.boundary && (
              <QuantityField
                label="or the area"
                value={field.area}
                units={us ? ['ac', 'ha'] : ['ha', 'ac']}
                onChange={(a) => a && change({ area: a })}
                problem={problemAt(problems, '/area')}
              />
            )}
          </div>
          <StationField field={field} change={change} />
          <p role="status" className={`mt-2 italic ${save.failing ? 'text-hand' : 'text-ink2'}`}>
            {save.failing
              ? `not saved: ${save.failing}`
              : save.busy
                ? 'saving'
                : save.done && 'field saved'}
          </p>
        </div>
        <FieldMap field={field} us={us} area={area ? `${area.text} ${area.unit}` : ''} />
      </div>
      <Part
        title="Soil"
        open
        holds={said(
          field.texture ?? 'no texture entered: treated as loam',
          counted(field.layers?.length, 'layer', 'layers'),
          counted(field.soilTests?.length, 'test', 'tests'),
        )}
      >
        <SoilPart {...part} />
      </Part>
      <Part
        title="Place and frost"
        holds={said(
          field.boundary ? 'from the boundary' : field.point ? 'by a point' : 'no place yet',
          field.lastSpringFrost ? 'frost dates entered' : 'frost dates from the weather',
        )}
        open={!field.boundary && !field.point}
      >
        <PlacePart {...part} />
      </Part>
      <Part
        title="Lie of the land"
        holds={said(
          field.slopePercent === undefined ? 'slope not entered' : `slope ${field.slopePercent} %`,
          counted(field.zones?.length, 'zone', 'zones'),
        )}
      >
        <GroundPart {...part} />
      </Part>
      <Part
        title="Weeds, pests, stock, history"
        holds={said(
          counted(field.weeds?.length, 'weed', 'weeds'),
          counted(field.pests?.length, 'pest', 'pests'),
          counted(field.residuals?.length, 'herbicide', 'herbicides'),
          counted(field.history?.length, 'year', 'years'),
        )}
      >
        <LifePart {...part} />
      </Part>
      <Part
        title="Certification, machines, programmes"
        holds={said(
          field.certification,
          counted(field.equipment?.length, 'machine', 'machines'),
          counted(field.programmes?.length, 'programme', 'programmes'),
        )}
      >
        <WorkPart {...part} />
      </Part>
      <Part
        title="The farm: schools, rules, labels"
        holds={
          Object.keys(farm.schools ?? {}).length > 0
            ? counted(Object.keys(farm.schools ?? {}).length, 'school chosen', 'schools chosen')
            : 'no school chosen'
        }
      >
        <FarmPart />
      </Part>
    </>
  );
}
