import { drag as d3drag } from 'd3-drag';
import { select } from 'd3-selection';
import type { PatchStep } from '@even-tally/core';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import { useJob } from '../state/job';
import { onThePage } from './onThePage';

/** How far the arrows move what is held: a step along and up, or null where they do not. */
export interface Nudge {
  x: number;
  y: number;
}

export interface Grip<T> {
  /** What is held as it stands now: a drag goes by what it was when it began. */
  now: T;
  /** Taken hold of, by hand or by key. */
  taken?: (at: T) => void;
  /** The edit that brings it so many pixels to the right and down of where it was. */
  dragged: (from: T, dx: number, dy: number) => PatchStep[];
  /** The edit a key makes of it; null for a key that is not its own. */
  nudged: (at: T, way: Nudge, event: KeyboardEvent) => PatchStep[] | null;
}

const WAYS: Record<string, Nudge> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 1 },
  ArrowDown: { x: 0, y: -1 },
};

/** Something on the drawing that is dragged, and moved by the arrow keys: one edit either way, undone as one. */
export function useGrip<N extends Element, T>(
  ref: { current: N | null },
  grip: Grip<T>,
): (event: KeyboardEvent) => void {
  const { drag, drop, edit } = useJob();
  const latest = useRef(grip);
  useEffect(() => {
    latest.current = grip;
  });
  useEffect(() => {
    const node = ref.current;
    if (!node) return;
    let from = { x: 0, y: 0 };
    let start = latest.current.now;
    let steps: PatchStep[] = [];
    const behaviour = d3drag<N, unknown>()
      .container(onThePage)
      .on('start', (event: { x: number; y: number }) => {
        from = { x: event.x, y: event.y };
        start = latest.current.now;
        steps = [];
        latest.current.taken?.(start);
      })
      .on('drag', (event: { x: number; y: number }) => {
        const next = latest.current.dragged(start, event.x - from.x, event.y - from.y);
        if (drag(next)) steps = next;
      })
      .on('end', () => drop(steps));
    select(node).call(behaviour);
    return () => void select(node).on('.drag', null);
  }, [ref, drag, drop]);
  return (event) => {
    const way = WAYS[event.key];
    const { now, nudged, taken } = latest.current;
    const steps = way ? nudged(now, way, event) : null;
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    taken?.(now);
    edit(steps);
  };
}
