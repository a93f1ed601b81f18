import {
  Box,
  ButtonBase,
  Checkbox,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TableSortLabel,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import type { PlannedFile, PlannedPicture, PlannedSharedFile } from '../../server/pictureTypes';
import { bytesText } from '../shared/bytesText';
import { MONO } from '../shared/theme';
import { plannedShownAddress } from './addresses';
import type { FileBytes, MeasuredFile } from './useFileBytes';

const LABELS = { name: 'Picture', px: 'Px', bytes: 'Bytes', saving: 'Saving', uses: 'Uses' } as const;
type Order = keyof typeof LABELS;

interface FileTableProps {
  readonly mockupId: string;
  readonly mark: string;
  readonly pictures: readonly PlannedPicture[];
  readonly shared: readonly PlannedSharedFile[];
  readonly bytes: FileBytes;
  /** The names of pictures that are chosen together. */
  readonly ticked: readonly string[];
  readonly onTick: (names: readonly string[]) => void;
  /** The picture that is shown beside the table. */
  readonly shown: string | null;
  readonly onShow: (name: string) => void;
}

/** Every file of every picture before it is written: size, bytes, reason and problems. */
export function FileTable(props: FileTableProps) {
  const { mockupId, mark, pictures, shared, bytes, ticked, onTick, shown, onShow } = props;
  const [order, setOrder] = useState<Order>('name');
  const sorted = sortedBy(order, pictures, bytes);
  const names = pictures.map(({ name }) => name);
  const every = names.length > 0 && names.every((name) => ticked.includes(name));
  const some = names.some((name) => ticked.includes(name));
  const toggle = (name: string) =>
    onTick(ticked.includes(name) ? ticked.filter((each) => each !== name) : [...ticked, name]);
  const heading = (name: Order) => (
    <TableSortLabel active={name === order} onClick={() => setOrder(name)}>
      {LABELS[name]}
    </TableSortLabel>
  );
  return (
    <Box tabIndex={0} role="group" aria-label="Files of pictures" sx={{ minHeight: 0, overflow: 'auto' }}>
      {pictures.length === 0 && <Typography sx={{ p: 2 }}>No picture has these words.</Typography>}
      <Table size="small" stickyHeader aria-label="Files of pictures" sx={{ '& td, & th': { px: 1 } }}>
        <TableHead>
          <TableRow>
            <TableCell padding="checkbox">
              <Checkbox
                size="small"
                checked={every}
                indeterminate={some && !every}
                onChange={() => onTick(every ? [] : names)}
                slotProps={{ input: { 'aria-label': 'Choose all pictures' } }}
              />
            </TableCell>
            <TableCell sx={{ width: 64 }}>Looks</TableCell>
            <TableCell sortDirection={order === 'name' ? 'asc' : false}>{heading('name')}</TableCell>
            <TableCell>File</TableCell>
            <TableCell sortDirection={order === 'px' ? 'desc' : false}>{heading('px')}</TableCell>
            <TableCell align="right" sortDirection={order === 'bytes' ? 'desc' : false}>
              {heading('bytes')}
            </TableCell>
            <TableCell
              align="right"
              sortDirection={order === 'saving' ? 'desc' : false}
              title="Against the same px as a plain PNG, or against the document as it was drawn"
            >
              {heading('saving')}
            </TableCell>
            <TableCell align="right" sortDirection={order === 'uses' ? 'desc' : false}>
              {heading('uses')}
            </TableCell>
            <TableCell>Why</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {sorted.map((picture) => {
            const { name, files, layers, reason, problems, soft } = picture;
            const [main] = files;
            return (
              <TableRow
                key={name}
                selected={name === shown}
                onClick={() => onShow(name)}
                sx={{ cursor: 'pointer', verticalAlign: 'top' }}
              >
                <TableCell padding="checkbox">
                  <Checkbox
                    size="small"
                    checked={ticked.includes(name)}
                    onClick={(event) => event.stopPropagation()}
                    onChange={() => toggle(name)}
                    slotProps={{ input: { 'aria-label': `Choose ${name}` } }}
                  />
                </TableCell>
                <TableCell>
                  {main && bytes.has(main.path) && (
                    <Box
                      component="img"
                      loading="lazy"
                      src={plannedShownAddress(mockupId, main.path, mark)}
                      alt=""
                      sx={{
                        display: 'block',
                        width: 48,
                        height: 32,
                        objectFit: 'contain',
                        bgcolor: '#fff',
                        boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
                      }}
                    />
                  )}
                </TableCell>
                <TableCell>
                  <ButtonBase
                    onClick={() => onShow(name)}
                    aria-current={name === shown ? 'true' : undefined}
                    sx={{ font: 'inherit', textAlign: 'start', minHeight: 24, overflowWrap: 'anywhere' }}
                  >
                    {name}
                  </ButtonBase>
                </TableCell>
                <TableCell sx={{ fontFamily: MONO, fontSize: 12 }}>
                  {files.map(({ path, quality }) => (
                    <Line key={path} title={path}>
                      {path.split('/').slice(-2).join('/')}
                      {quality === undefined ? '' : ` q${quality}`}
                    </Line>
                  ))}
                </TableCell>
                <Figures files={files} bytes={bytes} />
                <TableCell align="right">{layers.length}</TableCell>
                <TableCell sx={{ fontSize: 12.5 }}>
                  {reason}
                  {soft.length > 0 && (
                    <div>{soft.length === 1 ? 'a soft edge' : `${soft.length} soft edges`}</div>
                  )}
                  {problems.map((problem) => (
                    <Box key={problem} sx={{ color: 'error.main' }}>
                      {problem}
                    </Box>
                  ))}
                </TableCell>
              </TableRow>
            );
          })}
          {shared.map((file) => (
            <TableRow key={file.path} sx={{ verticalAlign: 'top' }}>
              <TableCell padding="checkbox" />
              <TableCell />
              <TableCell sx={{ color: 'text.secondary' }}>shared</TableCell>
              <TableCell sx={{ fontFamily: MONO, fontSize: 12 }}>
                <Line title={file.path}>{file.path.split('/').slice(-2).join('/')}</Line>
              </TableCell>
              <Figures files={[file]} bytes={bytes} />
              <TableCell align="right">{file.pictures.length}</TableCell>
              <TableCell sx={{ fontSize: 12.5 }}>{file.reason}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

interface FiguresProps {
  readonly files: readonly PlannedFile[];
  readonly bytes: FileBytes;
}

/** Px, bytes and saving of files, a line each. */
function Figures({ files, bytes }: FiguresProps) {
  return (
    <>
      <TableCell>
        {files.map(({ path, width, height }) => (
          <Line key={path}>{width > 0 ? `${width}×${height}` : 'any'}</Line>
        ))}
      </TableCell>
      <TableCell align="right">
        {files.map(({ path }) => (
          <Line key={path}>{bytesWords(bytes.get(path))}</Line>
        ))}
      </TableCell>
      <TableCell align="right">
        {files.map(({ path }) => (
          <Line key={path}>{savingWords(bytes.get(path))}</Line>
        ))}
      </TableCell>
    </>
  );
}

function Line({ children, title }: { readonly children: React.ReactNode; readonly title?: string }) {
  return (
    <Box title={title} sx={{ whiteSpace: 'nowrap', lineHeight: '20px' }}>
      {children}
    </Box>
  );
}

function bytesWords(file: MeasuredFile | null | undefined): string {
  if (file === undefined) return '…';
  return file === null ? 'not drawn' : bytesText(file.bytes);
}

/** The share of the plain file that a file saves; one that is larger says so. */
function savingWords(file: MeasuredFile | null | undefined): string {
  if (!file || file.plain === null) return '';
  const share = Math.round((1 - file.bytes / file.plain) * 100);
  return share < 0 ? `${-share}% more` : `${share}%`;
}

function sortedBy(
  order: Order,
  pictures: readonly PlannedPicture[],
  bytes: FileBytes,
): readonly PlannedPicture[] {
  const figure = ({ files, layers, width, height }: PlannedPicture): number => {
    if (order === 'px') return width * height;
    if (order === 'uses') return layers.length;
    const drawn = files.flatMap(({ path }) => bytes.get(path) ?? []);
    const sum = drawn.reduce((all, file) => all + file.bytes, 0);
    return order === 'bytes' ? sum : drawn.reduce((all, { plain }) => all + (plain ?? 0), 0) - sum;
  };
  return pictures.toSorted((one, other) =>
    order === 'name' ? one.name.localeCompare(other.name) : figure(other) - figure(one),
  );
}
