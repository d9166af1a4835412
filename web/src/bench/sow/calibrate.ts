import { useQuery } from '@tanstack/react-query';

import { api, taken, type Figure, type Quantity } from '../../api/client';

/** What a plan's card asks of a catch test. */
interface Card {
  planId: string;
  coverId: string;
  box: string;
  rate: Figure;
  material: string;
  machine: string | undefined;
  width: Quantity | undefined;
  distance: Quantity | undefined;
}

/** The yard's page with the rate, the seed and the way driven of a card filled in. */
export function calibrateLink(c: Card) {
  const p = new URLSearchParams({
    plan: c.planId,
    cover: c.coverId,
    box: c.box,
    target: c.rate.text.replace(/,/g, ''),
    targetUnit: c.rate.unit,
    material: c.material,
  });
  if (c.machine) p.set('machine', c.machine);
  if (c.width) p.set('width', `${c.width.value} ${c.width.unit}`);
  if (c.distance) p.set('distance', `${c.distance.value} ${c.distance.unit}`);
  return `/calibration?${p.toString()}`;
}

/** The newest catch that was saved for a box of a card. */
export function useLastCatch(planId: string, coverId: string) {
  const known = useQuery({
    queryKey: ['calibrations'],
    queryFn: async () => taken(await api.GET('/api/calibrations')),
  });
  return (box: string) =>
    known.data?.catches?.find(
      (c) =>
        c.test.card?.planId === planId &&
        c.test.card.coverId === coverId &&
        c.test.card.box === box,
    );
}
