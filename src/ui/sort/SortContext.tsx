'use client';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { SortState, SortStore } from './store';

export const SortContext = createContext<SortStore | null>(null);

/** The Sort step's state itself, for what looks at it only when something is done. */
export function useSortStore(): SortStore {
  const store = useContext(SortContext);
  if (!store) throw new Error('The state of the Sort step is asked for outside of it.');
  return store;
}

/** A part of the Sort step's state. */
export function useSort<T>(pick: (state: SortState) => T): T {
  return useStore(useSortStore(), pick);
}
