import type { Plan, Schemas } from '../api/client';
import { setCover } from '../plan/edit';
import { useOpenPlan } from '../plan/context';
import { tidy } from '../ui/tidy';
import { BenchHead } from './BenchHead';
import { BlendControls } from './BlendControls';
import { mixOf, useCandidates } from './mix/asked';
import { Beside, MOST_BESIDE, withBeside } from './mix/Beside';
import { CandidateTable } from './mix/CandidateTable';
import { Delivers } from './mix/Delivers';
import { Buys } from './mix/Buys';
import { Proposals } from './mix/Proposals';
import { useCover } from './pick';
import { RateTable } from './RateTable';
import { Schools } from './mix/Schools';
import { ShareBars } from './ShareBars';
import type { StepProps } from '../plan/steps';

type Mix = Schemas['MixEntry'];

export function MixStep({ lots }: StepProps) {
  const { session, state } = useOpenPlan();
  const { cover, chooser } = useCover();
  const mix: Mix = cover?.mix ?? { method: 'share', components: [] };
  const seen = state.evaluation?.covers.find((c) => c.id === cover?.id);
  const worked = cover && state.evaluation?.mix[cover.id];
  const judged = useCandidates(state.plan, cover?.id ?? '', seen?.judged ?? false);
  const change = (edit: (m: Mix) => Mix, held = false) => {
    if (!cover) return;
    session.change((p: Plan) => {
      const now = p.covers.find((c) => c.id === cover.id)?.mix ?? mix;
      return setCover(p, cover.id, { mix: edit(now) });
    }, held);
  };
  return (
    <>
      <BenchHead
        title="Mix"
        aside="full rate × share × factors ÷ pure live seed = what goes in the box"
        about="cover"
      >
        {chooser}
      </BenchHead>
      {cover && (
        <>
          <BlendControls cover={cover} mix={mix} lots={lots} change={change} />
          {(mix.components.length > 0 || mix.bag) && (
            <RateTable cover={cover} mix={mix} seen={worked} lots={lots} change={change} />
          )}
          {worked && worked.rates.length > 0 && <ShareBars mix={worked} />}
          {worked && <Schools schools={worked.schools} />}
          <Delivers coverId={cover.id} aims={cover.aims ?? []} />
          <Beside cover={cover} />
          <CandidateTable
            coverId={cover.id}
            taken={mix.components.map((c) => c.species)}
            onTake={(species) =>
              change((m) => ({
                ...m,
                components: [
                  ...m.components,
                  m.method === 'share'
                    ? { species, sharePercent: m.components.length > 0 ? 10 : 100 }
                    : { species },
                ],
              }))
            }
          />
          <Proposals
            key={cover.id}
            coverId={cover.id}
            aims={judged.data?.aims ?? []}
            onTake={(m) => change((old) => mixOf(m.shares, old))}
            onBeside={
              (cover.alternatives?.length ?? 0) < MOST_BESIDE
                ? (m) =>
                    session.change((p) => {
                      const now = p.covers.find((c) => c.id === cover.id);
                      return now
                        ? setCover(
                            p,
                            cover.id,
                            withBeside(now, `proposed, ${m.costText}`, mixOf(m.shares, now.mix)),
                          )
                        : p;
                    })
                : undefined
            }
          />
          {mix.components.length > 0 && (
            <Buys
              cover={cover}
              onTake={(m) =>
                change((old) => ({
                  ...old,
                  components: [
                    ...old.components,
                    old.method === 'share'
                      ? { species: m.species, sharePercent: m.percent }
                      : { species: m.species },
                  ],
                }))
              }
              onReplace={(gone, by) =>
                change((old) => ({
                  ...old,
                  components: old.components.map((c) =>
                    c.species === gone ? tidy({ ...c, species: by, lotId: undefined }) : c,
                  ),
                }))
              }
            />
          )}
          {mix.components.length === 0 && (
            <p className="mt-2 text-ink2 italic">
              No species yet. The lots offered come from the seed store.
            </p>
          )}
        </>
      )}
    </>
  );
}
