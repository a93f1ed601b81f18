'use client';
import { Box } from '@mui/material';
import { memo, useCallback, useDeferredValue, useRef } from 'react';
import { FACET_GROUPS, type FacetGroup } from '../../core/sort/facets/facet';
import type { Facet, FacetValue } from '../../core/sort/facets/facets';
import type { Decision } from '../../core/sort/decision';
import type { LayerId } from '../../core/mockup/layer';
import type { Tags as TagsByLayer } from '../../core/sort/tag';
import { focusWorksheet, TAG_PANEL } from './focus';
import { canHave, EDITED_FACETS, editorOf, sharedValue } from '../shared/facets';
import { useSort } from './SortContext';
import { TagField } from '../shared/TagField';

const MOST = 2000;
/** The groups beside each other, as far as the panel is wide. */
const PAIRED = '@container (min-width: 330px)';
const WIDE = '@container (min-width: 500px)';

/** All facets of the selection; differing values are shown as such. */
export const TagPanel = memo(function TagPanel() {
  // Deferred: the worksheet reacts to a key first.
  const selection = useDeferredValue(useSort((state) => state.selection));
  const decisions = useDeferredValue(useSort((state) => state.result?.decisions));
  const tags = useDeferredValue(useSort((state) => state.tags));
  return <Tags selection={selection} decisions={decisions} tags={tags} />;
});

interface TagsProps {
  readonly selection: ReadonlySet<LayerId>;
  readonly decisions: ReadonlyMap<LayerId, Decision> | undefined;
  readonly tags: TagsByLayer;
}

const Tags = memo(function Tags({ selection, decisions, tags }: TagsProps) {
  const setEach = useSort((state) => state.setEach);
  const clear = useSort((state) => state.clear);
  const keys = [...selection].slice(0, MOST);
  const chosen = keys.flatMap((key) => decisions?.get(key) ?? []);
  const count = selection.size;
  // What is typed belongs to the layers that are shown, also when others were chosen meanwhile.
  const shown = useRef(keys);

  shown.current = [...selection];
  const set = useCallback(
    (facet: Facet, value: FacetValue | null) => {
      if (value === null) clear(facet, shown.current);
      else setEach(facet, new Map(shown.current.map((key) => [key, value])));
    },
    [setEach, clear],
  );
  return (
    <Box
      component="form"
      id={TAG_PANEL}
      aria-label="Tags of the selection"
      onSubmit={(event) => event.preventDefault()}
      onKeyDown={(event) => {
        if (event.key === 'Escape') focusWorksheet();
      }}
      sx={{ height: '100%', overflow: 'auto', px: 1.5, py: 0.5, containerType: 'inline-size' }}
    >
      <Box
        sx={{
          display: 'grid',
          gap: '0 16px',
          gridTemplateColumns: 'minmax(0, 1fr)',
          [PAIRED]: { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
          [WIDE]: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
        }}
      >
        {chosen.length > 0 &&
          GROUPS.map(([group, facets]) => (
            <Box
              key={group}
              component="fieldset"
              sx={{
                border: 0,
                m: 0,
                p: 0,
                minWidth: 0,
                ...(group === 'meaning' && {
                  [PAIRED]: { gridRow: 'span 2' },
                  [WIDE]: { gridRow: 'span 2', gridColumn: 'span 2' },
                }),
              }}
            >
              <Box
                component="legend"
                sx={{
                  fontSize: 12,
                  fontWeight: 600,
                  p: 0,
                  mt: 0.25,
                  borderBottom: 1,
                  borderColor: 'divider',
                  width: '100%',
                }}
              >
                {FACET_GROUPS[group]}
              </Box>
              <Box
                sx={{
                  display: 'grid',
                  columnGap: 2,
                  ...(group === 'meaning' && {
                    [WIDE]: { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' },
                  }),
                }}
              >
                {facets
                  .filter((facet) => canHave(facet, chosen))
                  .map((facet) => (
                    <TagField
                      key={facet}
                      facet={facet}
                      subject={`${keys[0]} ${count}`}
                      {...sharedValue(facet, chosen)}
                      settled={keys.some((key) => tags.get(key)?.[facet] !== undefined)}
                      onSet={set}
                    />
                  ))}
              </Box>
            </Box>
          ))}
      </Box>
    </Box>
  );
});

const GROUPS = (Object.keys(FACET_GROUPS) as FacetGroup[]).map(
  (group): readonly [FacetGroup, readonly Facet[]] => [
    group,
    EDITED_FACETS.filter((facet) => editorOf(facet).group === group),
  ],
);
