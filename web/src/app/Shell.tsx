import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { NavLink, Outlet } from 'react-router';

import { api } from '../api/client';
import { useSession } from '../account/useSession';

function Mark() {
  return (
    <svg width="30" height="24" viewBox="0 0 30 24" aria-hidden>
      <path d="M1 15h28" stroke="var(--ink)" strokeWidth="1.800" />
      <path
        d="M15 15C14 8 10 6 5 5C8 4 14 6 15 15ZM15 15C16 7 20 3 25 2C25 8 20 13 15 15Z"
        fill="var(--cool-grass)"
      />
      <path
        d="M15 15v8M15 18l-4 3M15 17l4 4"
        stroke="var(--root)"
        strokeWidth="1.200"
        fill="none"
      />
    </svg>
  );
}

const NAV = [
  { to: '/fields', name: 'Fields' },
  { to: '/seed-store', name: 'Seed store' },
];

export function Shell() {
  const session = useSession();
  const queries = useQueryClient();
  const [night, setNight] = useState(document.documentElement.dataset.theme === 'night');
  const out = useMutation({
    mutationFn: () => api.DELETE('/api/session'),
    onSuccess: () => {
      queries.clear();
      window.location.assign('/sign-in');
    },
  });
  const turn = () => {
    const next = !night;
    document.documentElement.dataset.theme = next ? 'night' : 'day';
    setNight(next);
  };
  return (
    <>
      <header className="flex h-[38px] items-center gap-6 border-b border-ink px-4 max-[640px]:gap-3 max-[640px]:px-2">
        <span className="flex items-center gap-1 text-[20px] font-bold">
          <Mark /> Etlo
        </span>
        <nav aria-label="Views" className="flex h-full gap-5">
          {NAV.map((n) => (
            <NavLink
              key={n.to}
              to={n.to}
              className={({ isActive }) =>
                `flex h-full items-center border-b-[3px] text-[15px] ${isActive ? 'border-ink font-bold' : 'border-transparent'}`
              }
            >
              {n.name}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto truncate text-[13px] text-ink2 max-[640px]:hidden">
          {session.data?.practice}
        </span>
        <button type="button" className="link text-[13px]" onClick={turn}>
          {night ? 'Day' : 'Night'}
        </button>
        <button type="button" className="link text-[13px]" onClick={() => out.mutate()}>
          Sign out
        </button>
      </header>
      <Outlet />
    </>
  );
}
