import { useEffect, useRef, useState } from 'react';

import { api, Refusal, taken, type Field, type Problem, type Schemas } from '../api/client';
import { drafts } from './drafts';
import { tidy } from '../ui/tidy';
import { Retry } from './retry';

type Shared = Schemas['SharedConflict'];

export interface FieldSave {
  change: (to: Partial<Field>) => void;
  save: { busy: boolean; failing: string; problems: Problem[]; done: boolean };
  conflict: Shared | undefined;
  keepMine: () => void;
  takeTheirs: () => void;
}

const IDLE = { busy: false, failing: '', problems: [] as Problem[], done: false };

/**
 * Saves what is changed of a field, one save after the other, each sent with the revision it grew from. Changes others made elsewhere in
 * the meantime come in; where they meet with a change of this page, somebody has to choose. What a server that is away does
 * not get is kept in the browser and sent when it is back.
 */
export function useFieldSave(
  loaded: Field,
  who: string,
  onField: (field: Field) => void,
  onSaved: () => void,
): FieldSave {
  const place = `field.${loaded.id}`;
  const base = useRef(loaded);
  const mine = useRef(loaded);
  const sending = useRef(false);
  const theirs = useRef<Field>(undefined);
  const [save, setSave] = useState(IDLE);
  const [conflict, setConflict] = useState<Shared>();
  const retry = useRef<Retry>(undefined);
  const callbacks = useRef({ onField, onSaved });
  useEffect(() => {
    callbacks.current = { onField, onSaved };
  });

  const show = (field: Field) => {
    mine.current = field;
    callbacks.current.onField(field);
  };

  const send = async () => {
    if (sending.current || theirs.current) return;
    sending.current = true;
    const body = { base: base.current, mine: mine.current };
    setSave({ ...IDLE, busy: true });
    try {
      const saved = taken(
        await api.PUT('/api/fields/{fieldId}', { params: { path: { fieldId: loaded.id } }, body }),
      );
      retry.current?.done();
      base.current = saved;
      if (mine.current === body.mine) {
        show(saved);
        drafts.drop(who, place);
        setSave({ ...IDLE, done: true });
      }
      callbacks.current.onSaved();
    } catch (e) {
      if (e instanceof Refusal && e.status === 409) {
        theirs.current = e.body.current as Field;
        setConflict(e.body as Shared);
        setSave({ ...IDLE, failing: 'it was changed elsewhere' });
      } else {
        const refused = e instanceof Refusal;
        setSave({
          ...IDLE,
          failing: refused ? e.message : 'the server does not answer',
          problems: refused ? e.problems : [],
        });
        if (!refused || e.passing) retry.current?.later();
      }
      sending.current = false;
      return;
    }
    sending.current = false;
    if (mine.current !== body.mine && mine.current !== base.current) await send();
  };

  const change = (to: Partial<Field>) => {
    show(tidy({ ...mine.current, ...to }));
    drafts.keep(who, place, { base: base.current, mine: mine.current });
    void send();
  };

  const settle = (field: Field) => {
    if (theirs.current) base.current = theirs.current;
    theirs.current = undefined;
    setConflict(undefined);
    show(field);
  };

  const sendNow = useRef(send);
  useEffect(() => {
    sendNow.current = send;
  });
  useEffect(() => {
    retry.current = new Retry(() => void sendNow.current());
    const kept = drafts.find<{ base: Field; mine: Field }>(who, place);
    if (kept) {
      base.current = kept.base;
      mine.current = kept.mine;
      callbacks.current.onField(kept.mine);
      void sendNow.current();
    }
    return () => retry.current?.close();
  }, [who, place]);

  return {
    change,
    save,
    conflict,
    keepMine: () => {
      const kept = mine.current;
      settle(kept);
      void send();
    },
    takeTheirs: () => {
      if (theirs.current) settle(theirs.current);
      drafts.drop(who, place);
      setSave(IDLE);
      callbacks.current.onSaved();
    },
  };
}
