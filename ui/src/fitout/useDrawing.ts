import { useEffect, useRef, useState } from 'react';
import { Clash, Refusal } from '../data/client';
import { type RoofPlan, type RoofPlanView, useKeepPlan } from '../data/fitout';
import { useStored } from '../data/useStored';
import { useClash } from '../parts/useClash';
import { useSettled } from '../parts/useSettled';

const KEEPS_MS = 500;
const MOST_STEPS = 200;

/**
 * A plan while it is drawn: each change can be undone and made again, and is kept as it is made. What is not kept yet survives a
 * reload in this browser. Changes with the same name that follow each other are one step.
 */
export function useDrawing(view: RoofPlanView) {
  const [draft, setDraft, forget] = useStored<RoofPlan | null>(`fitout.${view.id}`, null);
  const plan = draft ?? view.plan;
  const [past, setPast] = useState<RoofPlan[]>([]);
  const [future, setFuture] = useState<RoofPlan[]>([]);
  const last = useRef<string | null>(null);
  const version = useRef(view.version);
  const latest = useRef(draft);
  useEffect(() => {
    latest.current = draft;
  }, [draft]);
  const keep = useKeepPlan(view.id);
  const clash = useClash();

  const sent = useRef<RoofPlan | null>(null);
  const send = (body: RoofPlan, from: number) => {
    sent.current = body;
    keep.mutate(
      { body, version: from },
      {
        onSuccess: (kept) => {
          version.current = kept.version;
          // what was drawn meanwhile is not kept yet
          if (latest.current === body) {
            forget();
          }
        },
        onError: (refused) => {
          if (refused instanceof Clash) {
            version.current = refused.version;
            clash(refused, (stands) => send(body, stands));
          }
        },
      },
    );
  };
  const settled = useSettled(draft, KEEPS_MS);
  const { isPending } = keep;
  useEffect(() => {
    // one after the other: what is kept while another is on its way would meet itself
    if (settled !== null && settled === draft && !isPending && sent.current !== settled) {
      send(settled, version.current);
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- it is kept once it rests
  }, [settled, isPending]);

  return {
    plan,
    /** Changes the plan; `step` names what is changed, so that a drag or a word is one step. */
    change: (next: RoofPlan, step: string) => {
      if (step !== last.current) {
        setPast([...past, plan].slice(-MOST_STEPS));
      }
      last.current = step;
      setFuture([]);
      setDraft(next);
    },
    /** What follows is another step. */
    settle: () => {
      last.current = null;
    },
    undo:
      past.length === 0
        ? null
        : () => {
            last.current = null;
            setFuture([plan, ...future]);
            setPast(past.slice(0, -1));
            setDraft(past[past.length - 1] ?? null);
          },
    redo:
      future.length === 0
        ? null
        : () => {
            last.current = null;
            setPast([...past, plan]);
            setFuture(future.slice(1));
            setDraft(future[0] ?? null);
          },
    saved: draft === null,
    problem: keep.error instanceof Refusal && !(keep.error instanceof Clash) ? keep.error.message : null,
  };
}

export type Drawing = ReturnType<typeof useDrawing>;
