import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import equal from 'fast-deep-equal';
import NextLink from 'next/link';
import { useState } from 'react';
import type { Facet, FacetValue } from '../../core/sort/facets/facets';
import { READY_RECIPES } from '../../core/pictures/recipes/readyRecipes';
import type { PlannedPicture } from '../../server/pictureTypes';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { DetailPane } from '../shared/DetailPane';
import { TagField } from '../shared/TagField';
import { plannedShownAddress, trialFileAddress } from './addresses';
import { CompareDialog } from './CompareDialog';
import { RecipeChoice } from './RecipeChoice';
import type { PicturesState } from './usePictures';
import { CLEAR_GROUND, ZoomChoice, type Zoom } from './ZoomChoice';

/** The facets that shape a picture. */
const FACETS: readonly Facet[] = ['pictureBox', 'pictureContents', 'pictureGround', 'align'];

interface PicturePaneProps {
  readonly mockupId: string;
  readonly mark: string;
  /** The picture that is shown. */
  readonly of: PlannedPicture;
  /** The pictures that are set together; empty for the one that is shown. */
  readonly chosen: readonly PlannedPicture[];
  readonly opened: OpenedMockup;
  readonly state: PicturesState;
}

/** A picture close up, and how it, or several at once, are made. */
export function PicturePane({ mockupId, mark, of, chosen, opened, state }: PicturePaneProps) {
  const [zoom, setZoom] = useState<Zoom>(1);
  const [isComparing, setComparing] = useState(false);
  const [main] = of.files;
  const subjects = chosen.length > 0 ? chosen : [of];
  const layers = subjects.flatMap((each) => each.layers.map(({ layer }) => layer));
  const set = (facet: Facet, value: FacetValue | null) => state.setFacet(layers, facet, value);
  return (
    <DetailPane label={`Picture ${of.name}`}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2" noWrap title={of.name} sx={{ flex: 1 }}>
          {of.name}
        </Typography>
        <ZoomChoice value={zoom} onChange={setZoom} />
      </Box>
      <Box
        tabIndex={0}
        role="group"
        aria-label={`${of.name} at ${zoom}:1`}
        sx={{
          flex: 'none',
          height: 220,
          overflow: 'auto',
          border: 1,
          borderColor: 'divider',
          background: CLEAR_GROUND,
          display: 'grid',
          placeItems: 'safe center',
        }}
      >
        {main && (
          <img
            // Enlarged, the px of 1x are shown: that is where soft edges are seen.
            src={
              zoom > 1 || main.format === 'pdf'
                ? trialFileAddress(mockupId, { picture: of.name, format: 'png', quality: 100, scale: 1 })
                : plannedShownAddress(mockupId, main.path, mark)
            }
            alt={`The picture ${of.name}`}
            style={{
              width: of.width * zoom,
              height: of.height * zoom,
              imageRendering: zoom > 1 ? 'pixelated' : 'auto',
            }}
          />
        )}
      </Box>
      <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
        {of.width}×{of.height} px on the screen; {of.reason}.{' '}
        {of.layers.slice(0, 3).map(({ layer, title }) => (
          <MuiLink
            key={layer}
            component={NextLink}
            href={`/mockups/${mockupId}/sort?layer=${encodeURIComponent(layer)}`}
            color="inherit"
            sx={{ display: 'inline-block', lineHeight: '24px', mr: 1 }}
          >
            {title}
          </MuiLink>
        ))}
        {of.layers.length > 3 && `and ${of.layers.length - 3} more layers`}
      </Typography>
      <Button variant="outlined" onClick={() => setComparing(true)} sx={{ alignSelf: 'start' }}>
        Compare formats…
      </Button>
      <Box component="section" aria-label="How it is made">
        <Typography variant="h3">
          {subjects.length === 1 ? 'How it is made' : `How ${subjects.length} pictures are made`}
        </Typography>
        <RecipeChoice
          recipes={[...READY_RECIPES, ...state.recipes.recipes]}
          said={layers.map((layer) => opened.tags[layer]?.recipes ?? null)}
          onSet={(names) => set('recipes', names)}
        />
        {FACETS.map((facet) => {
          const [first, ...others] = layers.map((layer) => opened.tags[layer]?.[facet] ?? null);
          const differs = others.some((other) => !equal(other, first));
          return (
            <TagField
              key={facet}
              facet={facet}
              subject={layers.join(' ')}
              value={differs ? null : (first as FacetValue | null)}
              differs={differs}
              settled={differs || first !== null}
              onSet={set}
            />
          );
        })}
      </Box>
      {of.soft.length > 0 && (
        <Box component="section" aria-label="Soft edges">
          <Typography variant="h3">Soft edges</Typography>
          <Typography sx={{ fontSize: 12.5, color: 'text.secondary' }}>
            These edges lie between two px. On whole px they are sharp; a shape changes by less than a px.
          </Typography>
          <Box component="ul" sx={{ m: 0, my: 0.5, pl: 2, fontSize: 13 }}>
            {of.soft.slice(0, 8).map(({ layer, title, off }) => (
              <li key={layer}>
                {title}: {off.toFixed(2)} px
              </li>
            ))}
            {of.soft.length > 8 && <li>and {of.soft.length - 8} more</li>}
          </Box>
          <Button color="inherit" variant="outlined" onClick={() => set('align', 'shapes')}>
            Put them on whole px
          </Button>
        </Box>
      )}
      {isComparing && (
        <CompareDialog
          mockupId={mockupId}
          of={of}
          onUse={(recipe) => {
            state.giveRecipe(layers, recipe);
            setComparing(false);
          }}
          onClose={() => setComparing(false)}
        />
      )}
    </DetailPane>
  );
}
