'use client';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { SortState, SortStore } from './store/state';

export const SortContext = createContext<SortStore | null>(null);

/** The store of the Sort step, for reads in event handlers. */
export function useSortStore(): SortStore {
  const store = useContext(SortContext);
  if (!store) throw new Error('The state of the Sort step is asked for outside of it.');
  return store;
}

/** A selected part of the Sort step's state. */
export function useSort<T>(pick: (state: SortState) => T): T {
  return useStore(useSortStore(), pick);
}
