import { metresOfFeet } from '../ui/convert';

/** A GeoJSON outline as rings of positions, degrees east and north, outer ring first in each part. */
type Position = [number, number];
type Part = Position[][];

interface Geo {
  type?: string;
  coordinates?: unknown;
  geometry?: Geo;
  geometries?: Geo[];
  features?: Geo[];
}

/** The parts of any GeoJSON that holds polygons; those of a field on the antimeridian run on past 180 degrees. */
export function partsOf(geo: unknown): Part[] {
  const parts = read(geo);
  const lons = parts.flat(2).map((p) => p[0]);
  if (!lons.some((x) => x > 90) || !lons.some((x) => x < -90)) return parts;
  return parts.map((rings) =>
    rings.map((ring) => ring.map(([x, y]): Position => [x < 0 ? x + 360 : x, y])),
  );
}

function read(geo: unknown): Part[] {
  const g = geo as Geo;
  switch (g?.type) {
    case 'Polygon':
      return [g.coordinates as Part];
    case 'MultiPolygon':
      return g.coordinates as Part[];
    case 'Feature':
      return read(g.geometry);
    case 'FeatureCollection':
      return (g.features ?? []).flatMap(read);
    case 'GeometryCollection':
      return (g.geometries ?? []).flatMap(read);
    default:
      return [];
  }
}

export interface Sheet {
  path: (geo: unknown) => string;
  middle: (geo: unknown) => [number, number];
  pxPerM: number;
}

const M_PER_DEGREE = 111_320;

/** Fits outlines into a sheet, north up; degrees of longitude shrink by the cosine of the latitude. */
export function sheetFor(geos: unknown[], width: number, height: number, margin: number): Sheet {
  const all = geos.flatMap(partsOf).flat(2);
  const lons = all.map((p) => p[0]);
  const lats = all.map((p) => p[1]);
  const [west, east] = [Math.min(...lons), Math.max(...lons)];
  const [south, north] = [Math.min(...lats), Math.max(...lats)];
  const shrink = Math.cos(((south + north) / 2) * (Math.PI / 180));
  const wide = Math.max(1, (east - west) * shrink * M_PER_DEGREE);
  const tall = Math.max(1, (north - south) * M_PER_DEGREE);
  const pxPerM = Math.min((width - 2 * margin) / wide, (height - 2 * margin) / tall);
  const x = (lon: number) => width / 2 + (lon - (west + east) / 2) * shrink * M_PER_DEGREE * pxPerM;
  const y = (lat: number) => height / 2 - (lat - (south + north) / 2) * M_PER_DEGREE * pxPerM;
  const at = (p: Position) => `${x(p[0]).toFixed(1)} ${y(p[1]).toFixed(1)}`;
  return {
    pxPerM,
    path: (geo) =>
      partsOf(geo)
        .flat()
        .map((ring) => `M${ring.map(at).join('L')}Z`)
        .join(''),
    middle: (geo) => {
      const ring = partsOf(geo)[0]?.[0] ?? [];
      const n = Math.max(1, ring.length);
      return [ring.reduce((s, p) => s + x(p[0]), 0) / n, ring.reduce((s, p) => s + y(p[1]), 0) / n];
    },
  };
}

/** A round length for a scale bar of about a quarter of the sheet, in the unit of the farm. */
export function barFor(pxPerM: number, width: number, us: boolean): { px: number; text: string } {
  const unitM = us ? metresOfFeet(1) : 1;
  const about = (width * 0.26) / pxPerM / unitM;
  const size = 10 ** Math.floor(Math.log10(about));
  const length = [5, 2, 1].map((k) => k * size).find((l) => l <= about) ?? size;
  return { px: length * unitM * pxPerM, text: `${length} ${us ? 'ft' : 'm'}` };
}
