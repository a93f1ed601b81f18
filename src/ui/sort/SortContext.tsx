'use client';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { SortState, SortStore } from './store';

export const SortContext = createContext<SortStore | null>(null);

/** A part of the Sort step's state. */
export function useSort<T>(pick: (state: SortState) => T): T {
  const store = useContext(SortContext);
  if (!store) throw new Error('useSort is used outside of the Sort step.');
  return useStore(store, pick);
}
