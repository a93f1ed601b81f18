import {
  Box,
  Link as MuiLink,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TableSortLabel,
  Typography,
} from '@mui/material';
import NextLink from 'next/link';
import { useState } from 'react';
import type { BuiltPicture } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { FindField } from '../shared/FindField';
import { hasWords } from '../shared/hasWords';
import { MONO } from '../shared/theme';
import { bytesText } from '../shared/bytesText';
import { shownAddress } from './fileAddress';

const ORDERS = {
  file: {
    label: 'File',
    compare: (one: BuiltPicture, other: BuiltPicture) => one.file.localeCompare(other.file),
  },
  format: {
    label: 'Format',
    compare: (one: BuiltPicture, other: BuiltPicture) => one.format.localeCompare(other.format),
  },
  px: {
    label: 'Px',
    compare: (one: BuiltPicture, other: BuiltPicture) => other.width * other.height - one.width * one.height,
  },
  bytes: { label: 'Bytes', compare: (one: BuiltPicture, other: BuiltPicture) => other.bytes - one.bytes },
} as const;
type Order = keyof typeof ORDERS;
const ORDER_NAMES = Object.keys(ORDERS) as readonly Order[];

interface PictureTableProps {
  readonly build: BuildView;
  readonly pictures: readonly BuiltPicture[];
}

/** Every file of a picture: what it is, how large, and why it was made. */
export function PictureTable({ build, pictures }: PictureTableProps) {
  const [order, setOrder] = useState<Order>('file');
  const [words, setWords] = useState('');
  const found = pictures
    .filter(({ file, reason = '', title = '' }) => hasWords(`${file} ${reason} ${title}`, words))
    .toSorted(ORDERS[order].compare);
  const all = found.reduce((sum, { bytes }) => sum + bytes, 0);
  return (
    <Box
      tabIndex={0}
      role="group"
      aria-label="Files of pictures"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: 2 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1 }}>
        <FindField label="Find a picture" value={words} onChange={setWords} />
        <Typography role="status" sx={{ fontSize: 12.5, color: 'text.secondary' }}>
          {found.length === 1 ? 'One file' : `${found.length} files`}, {bytesText(all)}
        </Typography>
      </Box>
      <Table size="small" aria-label="Files of pictures">
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 72 }}>Looks</TableCell>
            {ORDER_NAMES.map((name) => (
              <TableCell key={name} sortDirection={name === order ? 'asc' : false}>
                <TableSortLabel active={name === order} onClick={() => setOrder(name)}>
                  {ORDERS[name].label}
                </TableSortLabel>
              </TableCell>
            ))}
            <TableCell>Layer</TableCell>
            <TableCell>Why</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {found.map(({ file, format, width, height, bytes, reason, layer, title, uses = 1 }) => (
            <TableRow key={file}>
              <TableCell>
                <Box
                  component="img"
                  loading="lazy"
                  src={shownAddress(build, file)}
                  alt=""
                  sx={{
                    display: 'block',
                    width: 56,
                    height: 36,
                    objectFit: 'contain',
                    bgcolor: '#fff',
                    boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
                  }}
                />
              </TableCell>
              <TableCell sx={{ fontFamily: MONO, fontSize: 12, overflowWrap: 'anywhere' }}>{file}</TableCell>
              <TableCell>{format}</TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>
                {width}×{height}
              </TableCell>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{bytesText(bytes)}</TableCell>
              <TableCell>
                {layer && (
                  <MuiLink
                    component={NextLink}
                    href={`/mockups/${build.mockupId}/sort?layer=${encodeURIComponent(layer)}`}
                    color="inherit"
                    sx={{ display: 'inline-block', lineHeight: '24px' }}
                  >
                    {title}
                  </MuiLink>
                )}
                {uses > 1 && ` and ${uses - 1} more`}
              </TableCell>
              <TableCell>{reason}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
