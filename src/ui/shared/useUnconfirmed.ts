import { useState } from 'react';

/**
 * A value that a person changed and the server has not yet answered: the next change must include it.
 * @param confirmed the value of the server
 * @param since the state of the server that it is part of; another one ends what is not confirmed
 * @returns the value as the person sees it, and what sets it
 */
export function useUnconfirmed<Value>(
  confirmed: Value,
  since: unknown,
): readonly [Value, (value: Value) => void] {
  const [own, setOwn] = useState<{ readonly value: Value; readonly since: unknown } | null>(null);
  return [own && own.since === since ? own.value : confirmed, (value) => setOwn({ value, since })];
}
