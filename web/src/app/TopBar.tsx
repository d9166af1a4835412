import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { NavLink } from 'react-router';

import { api } from '../api/client';
import { useSession } from '../api/useSession';
import { focusWork } from './focusWork';
import { JumpButton } from './Jump';
import { KeysButton } from './Keys';
import { theme } from './theme';

function Mark() {
  return (
    <svg width="30" height="24" viewBox="0 0 30 24" aria-hidden>
      <path d="M1 15h28" stroke="var(--ink)" strokeWidth="1.8" />
      <path
        d="M15 15C14 8 10 6 5 5C8 4 14 6 15 15ZM15 15C16 7 20 3 25 2C25 8 20 13 15 15Z"
        fill="var(--cool-grass)"
      />
      <path d="M15 15v8M15 18l-4 3M15 17l4 4" stroke="var(--root)" strokeWidth="1.2" fill="none" />
    </svg>
  );
}

const NAV = [
  { to: '/fields', name: 'Fields' },
  { to: '/weather', name: 'Weather' },
  { to: '/species', name: 'Species' },
  { to: '/seed-store', name: 'Seed store' },
  { to: '/calibration', name: 'Calibration' },
  { to: '/people', name: 'People' },
];

/** The bar over every view: where one is, the tools of the view, and leaving. */
export function TopBar({ tools }: { tools?: ReactNode }) {
  const session = useSession();
  const queries = useQueryClient();
  const [night, setNight] = useState(theme.isNight);
  const out = useMutation({
    mutationFn: () => api.DELETE('/api/session'),
    onSuccess: () => {
      queries.clear();
      window.location.assign('/sign-in');
    },
  });
  return (
    <>
      <a
        href="#work"
        className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-paper focus:p-2 focus:font-bold"
        onClick={(e) => {
          e.preventDefault();
          focusWork();
        }}
      >
        Skip to the work
      </a>
      <header className="flex min-h-[38px] flex-wrap items-center gap-x-5 border-b-[1.5px] border-ink px-4 max-[640px]:gap-x-3 max-[640px]:px-2">
        <span className="flex items-center gap-1 text-[20px] font-bold">
          <Mark /> Etlo
        </span>
        <nav aria-label="Views" className="flex flex-wrap gap-x-4 self-stretch">
          {NAV.map((n) => (
            <NavLink
              key={n.to}
              to={n.to}
              className={({ isActive }) =>
                `flex min-h-[36px] items-center border-b-[3px] text-[15px] whitespace-nowrap ${isActive ? 'border-ink font-bold' : 'border-transparent'}`
              }
            >
              {n.name}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto flex flex-wrap items-center gap-x-4 text-[13px]">
          {tools}
          <JumpButton />
          <KeysButton />
          <button type="button" className="link" onClick={() => setNight(theme.turn())}>
            {night ? 'Day' : 'Night'}
          </button>
          <button
            type="button"
            className="link"
            title={session.data?.practice}
            onClick={() => out.mutate()}
          >
            Sign out
          </button>
        </span>
      </header>
    </>
  );
}
