import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';

import { api, taken, type Schemas } from '../api/client';
import { SelectField } from '../ui/inputs';

type Role = Schemas['Person']['role'];

/** Makes a link for one person; it is shown this once, to be handed on by whatever way. */
export function Invite({ onInvited }: { onInvited: () => unknown }) {
  const [role, setRole] = useState<Role>('adviser');
  const [copied, setCopied] = useState(false);
  const invite = useMutation({
    mutationFn: async () => taken(await api.POST('/api/invitations', { body: { role } })),
    onSuccess: () => {
      setCopied(false);
      onInvited();
    },
  });
  const link = invite.data && `${window.location.origin}/join#${invite.data.token}`;
  return (
    <section aria-label="Invite" className="mt-6">
      <h2 className="text-[17px] font-bold">Invite somebody</h2>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <SelectField
          label="as"
          value={role}
          options={[
            { id: 'adviser', name: 'adviser' },
            { id: 'assistant', name: 'assistant' },
          ]}
          onChange={(r) => setRole(r as Role)}
        />
        <button
          type="button"
          className="btn"
          disabled={invite.isPending}
          onClick={() => invite.mutate()}
        >
          Make a link
        </button>
      </div>
      {invite.error && (
        <p role="alert" className="text-hand">
          {invite.error.message}
        </p>
      )}
      {link && (
        <div className="mt-3 border-2 border-hand px-3 py-2">
          <p className="text-[13.5px]">
            Send this link to the one person it is for. It works once, for a week, and is not shown
            again.
          </p>
          <p className="mt-1 flex flex-wrap items-center gap-3">
            <input
              readOnly
              aria-label="Link to join"
              className="w-[min(34rem,80vw)]"
              value={link}
              onFocus={(e) => e.target.select()}
            />
            <button
              type="button"
              className="btn"
              onClick={() => void navigator.clipboard.writeText(link).then(() => setCopied(true))}
            >
              {copied ? 'copied' : 'Copy'}
            </button>
          </p>
        </div>
      )}
    </section>
  );
}
