import { useEffect, useState } from 'react';

interface LoadedText {
  readonly text: string | null;
  readonly problem: string | null;
}

/** The text at a URL; null for no URL. */
export function useText(address: string | null): LoadedText {
  const [loaded, setLoaded] = useState<LoadedText & { readonly address: string | null }>({
    address: null,
    text: null,
    problem: null,
  });
  useEffect(() => {
    if (address === null) return;
    let wanted = true;
    fetch(address).then(
      async (response) => {
        const text = await response.text();
        if (wanted)
          setLoaded({ address, text, problem: response.ok ? null : 'The file could not be loaded.' });
      },
      () => {
        const problem = 'The file could not be loaded; check that Orden is running.';
        if (wanted) setLoaded({ address, text: null, problem });
      },
    );
    return () => {
      wanted = false;
    };
  }, [address]);
  return loaded.address === address ? loaded : { text: null, problem: null };
}
