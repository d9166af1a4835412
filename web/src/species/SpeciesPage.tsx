import { useQuery } from '@tanstack/react-query';
import { Fragment, useState } from 'react';
import { useSearchParams } from 'react-router';

import { api, taken } from '../api/client';
import { TopBar } from '../app/TopBar';
import { Stack } from '../ui/Stack';
import { GroupMark, GROUPS } from '../ui/GroupMark';
import { SelectField } from '../ui/inputs';
import { CellPanel } from './CellPanel';
import {
  answers,
  around,
  linesOf,
  MOST_BESIDE,
  SECTIONS,
  shown,
  type Column,
  type Library,
  type Sheet,
} from './sheet';
import { Check } from '../ui/Check';

export const useLibrary = () =>
  useQuery({ queryKey: ['species'], queryFn: async () => taken(await api.GET('/api/species')) });

type Cell = { sheet: Sheet; column: Column };

function Value({ cell, library, open }: { cell: Cell; library: Library; open: (c: Cell) => void }) {
  const { sheet, column } = cell;
  const own = sheet.corrections[column.id];
  const ends = around(column.id);
  const status = library.sources[sheet.sources[column.id] ?? -1]?.status;
  const number = column.kind === 'number';
  return (
    <td
      className={`border-b border-rule2 px-2 py-0.5 align-baseline ${number ? 'text-right' : ''}`}
    >
      <span className="inline-flex flex-wrap items-baseline gap-x-2">
        {ends && (
          <span className="fig text-[12px] whitespace-nowrap text-ink2">
            {ends.map((e, i) => {
              const end = library.columns.find((c) => c.id === e);
              return (
                <Fragment key={e}>
                  {i > 0 && ' … '}
                  <button
                    type="button"
                    className={`min-h-[24px] min-w-[24px] hover:bg-paper2 ${sheet.corrections[e] ? 'border-b-2 border-double border-ink' : ''}`}
                    onClick={() => end && open({ sheet, column: end })}
                    aria-label={`${sheet.name}, ${end?.name}: ${sheet.cells[e]}`}
                  >
                    {shown(sheet.cells[e])}
                  </button>
                </Fragment>
              );
            })}
          </span>
        )}
        <button
          type="button"
          className={`min-h-[24px] min-w-[24px] hover:bg-paper2 ${number ? 'fig font-semibold' : 'text-left'} ${own ? 'border-b-4 border-double border-ink' : ''}`}
          onClick={() => open(cell)}
          aria-label={`${sheet.name}, ${column.name}: ${sheet.cells[column.id] ?? 'not held'} ${column.unit ?? ''}, ${own ? 'corrected here' : status}`}
        >
          {column.id === 'group' ? sheet.group.replace('-', ' ') : shown(sheet.cells[column.id])}
        </button>
        {number && <span className="fig text-[11.5px] text-ink2">{column.unit}</span>}
      </span>
      {own && (
        <span className="block text-[12.5px] text-ink2 italic">
          library <span className="fig not-italic">{shown(own.library)}</span>; {own.why}
        </span>
      )}
    </td>
  );
}

function Cautions({ library, sheet }: { library: Library; sheet: Sheet }) {
  const ids = (sheet.cells['cautions'] ?? '').split(' ').filter(Boolean);
  return (
    <td className="border-b border-rule2 px-2 py-0.5 align-top text-[13px]">
      {ids.length === 0 && '–'}
      {ids.map((id) => {
        const c = library.cautions.find((x) => x.id === id);
        return (
          <span key={id} className="block">
            <b>{c?.name ?? id}</b>
            {c && c.animals.length > 0 && (
              <span className="text-ink2"> {c.animals.join(', ')}</span>
            )}
            : {c?.text}
          </span>
        );
      })}
    </td>
  );
}

/** The sheets of up to four species side by side, section by section. */
function Beside({
  library,
  sheets,
  open,
  drop,
}: {
  library: Library;
  sheets: Sheet[];
  open: (c: Cell) => void;
  drop: (id: string) => void;
}) {
  const [onlyApart, setOnlyApart] = useState(false);
  const apart = (c: Column) => new Set(sheets.map((s) => s.cells[c.id] ?? '')).size > 1;
  return (
    <Stack className="min-w-0 flex-1" label="Sheets side by side">
      <table className="w-full text-[13.5px]">
        <thead className="keep-head">
          <tr className="border-b border-ink">
            <th className="w-[190px] py-1 text-left align-bottom text-[12.5px] font-medium">
              {sheets.length > 1 && (
                <Check checked={onlyApart} onChange={setOnlyApart}>
                  only what differs
                </Check>
              )}
            </th>
            {sheets.map((s) => (
              <th key={s.id} data-name={s.name} className="px-2 py-1 text-left align-bottom">
                <span className="flex items-center gap-1.5 text-[17px] font-bold">
                  <GroupMark group={s.group} /> {s.name}
                </span>
                <span className="text-[12.5px] font-medium text-ink2 italic">
                  {s.cells['botanical']}
                </span>{' '}
                {sheets.length > 1 && (
                  <button
                    type="button"
                    className="link text-[12.5px] font-medium"
                    aria-label={`Remove ${s.name}`}
                    onClick={() => drop(s.id)}
                  >
                    remove
                  </button>
                )}
              </th>
            ))}
          </tr>
        </thead>
        {SECTIONS.map((section) => {
          const lines = linesOf(library.columns, section.id).filter(
            (c) => c.id !== 'botanical' && (!onlyApart || sheets.length < 2 || apart(c)),
          );
          return (
            lines.length > 0 && (
              <tbody key={section.id}>
                <tr>
                  <th
                    scope="rowgroup"
                    colSpan={sheets.length + 1}
                    className="border-b border-ink pt-3 text-left text-[14px] font-bold"
                  >
                    {section.name}
                  </th>
                </tr>
                {lines.map((column) => (
                  <tr key={column.id}>
                    <th
                      scope="row"
                      className="border-b border-rule2 py-0.5 text-left align-baseline text-[13px] font-medium"
                    >
                      {column.name}
                    </th>
                    {sheets.map((sheet) =>
                      column.id === 'cautions' ? (
                        <Cautions key={sheet.id} library={library} sheet={sheet} />
                      ) : (
                        <Value
                          key={sheet.id}
                          cell={{ sheet, column }}
                          library={library}
                          open={open}
                        />
                      ),
                    )}
                  </tr>
                ))}
              </tbody>
            )
          );
        })}
      </table>
    </Stack>
  );
}

export function SpeciesPage() {
  const library = useLibrary();
  const [params, setParams] = useSearchParams();
  const [find, setFind] = useState('');
  const [group, setGroup] = useState('');
  const [cell, setCell] = useState<Cell>();
  const chosen = (params.get('of') ?? 'cereal-rye').split(' ').filter(Boolean);
  const all = library.data?.species ?? [];
  const sheets = chosen.flatMap((id) => all.find((s) => s.id === id) ?? []);
  const listed = all.filter((s) => answers(s, find) && (!group || s.group === group));
  const set = (ids: string[]) => setParams({ of: ids.join(' ') }, { replace: true });
  const held = cell && all.find((s) => s.id === cell.sheet.id);
  return (
    <>
      <TopBar />
      <main className="px-4 pb-10 max-[640px]:px-2">
        <div className="flex flex-wrap items-baseline gap-x-3 py-1.5">
          <h1 className="text-[21px] font-bold">Species</h1>
          <span className="italic">
            what the library holds of each, where it comes from, and what you correct
          </span>
        </div>
        {library.isPending && <p className="italic">reading the library</p>}
        {library.isError && (
          <p role="alert" className="text-hand">
            The library could not be read.{' '}
            <button type="button" className="link" onClick={() => void library.refetch()}>
              Try again
            </button>
          </p>
        )}
        {library.data && (
          <div className="flex gap-6 max-[760px]:flex-col">
            <div className="w-[250px] shrink-0 max-[760px]:w-full">
              <label htmlFor="find" className="block text-[13px] text-ink2">
                Name, family, pest or caution
              </label>
              <input
                id="find"
                value={find}
                onChange={(e) => setFind(e.target.value)}
                className="w-full"
              />
              <SelectField
                label="Group"
                value={group}
                empty="all groups"
                options={GROUPS}
                onChange={setGroup}
              />
              <p className="fig mt-1 text-[12.5px] text-ink2" role="status">
                {listed.length} of {all.length} species
              </p>
              <ul
                aria-label="Species"
                className="mt-1 max-h-[calc(100dvh-230px)] overflow-y-auto border-t border-ink max-[760px]:max-h-[180px]"
              >
                {listed.map((s) => {
                  const on = chosen.includes(s.id);
                  return (
                    <li key={s.id} className="flex items-center gap-2 border-b border-rule2">
                      <button
                        type="button"
                        className={`flex min-h-[28px] min-w-0 flex-1 items-center gap-1.5 text-left ${on ? 'font-bold' : ''}`}
                        onClick={() => set([s.id])}
                        aria-current={on ? 'true' : undefined}
                      >
                        <GroupMark group={s.group} />
                        <span className="truncate">{s.name}</span>
                        {Object.keys(s.corrections).length > 0 && (
                          <span className="text-[12.5px] font-medium text-ink2 italic">
                            corrected
                          </span>
                        )}
                      </button>
                      {!on && chosen.length < MOST_BESIDE && (
                        <button
                          type="button"
                          className="link min-h-[24px] text-[12.5px]"
                          aria-label={`Compare ${s.name}`}
                          onClick={() => set([...chosen, s.id])}
                        >
                          compare
                        </button>
                      )}
                    </li>
                  );
                })}
                {listed.length === 0 && (
                  <li className="py-2 text-ink2 italic">no species matches</li>
                )}
              </ul>
            </div>
            {sheets.length > 0 ? (
              <Beside
                library={library.data}
                sheets={sheets}
                open={setCell}
                drop={(id) => set(chosen.filter((c) => c !== id))}
              />
            ) : (
              <p className="py-4 text-ink2 italic">Choose a species.</p>
            )}
          </div>
        )}
        {cell && held && library.data && (
          <CellPanel
            library={library.data}
            sheet={held}
            column={cell.column}
            onClose={() => setCell(undefined)}
          />
        )}
      </main>
    </>
  );
}
