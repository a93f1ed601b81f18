'use client';
import { memo, type MouseEvent } from 'react';
import { sayFinding, type Finding } from '../../core/findings/finding';
import type { Decision } from '../../core/sort/decision';
import type { Tag } from '../../core/sort/tag';
import { OUTCOMES } from '../../core/sort/vocabulary';
import { nameInCode } from '../../core/sort/tellingNames';
import { layerLabel } from '../../core/look/layerLabel';
import type { Row } from './rows';
import type { Column } from './store/state';
import { facetOf } from './useWorksheetKeys';

interface WorksheetRowProps {
  readonly row: Row;
  readonly index: number;
  readonly top: number;
  /** URL of the layer's thumbnail. */
  readonly picture: string;
  readonly decision: Decision | undefined;
  readonly tag: Tag | undefined;
  readonly findings: readonly Finding[] | undefined;
  readonly folded: boolean;
  readonly selected: boolean;
  readonly hovered: boolean;
  /** The column of the cursor when it is in this row. */
  readonly cursor: Column | null;
  readonly columns: readonly Column[];
  readonly onPick: (row: Row, column: Column, event: MouseEvent) => void;
  readonly onFold: (row: Row) => void;
  readonly onHover: (row: Row | null) => void;
  readonly onEdit: () => void;
}

export function cellId(key: string, column: Column): string {
  return `cell:${key}:${column}`;
}

/** Px by which a level stands further in; deep ones less, so that names stay readable. */
const [INDENT, DEEP_INDENT, DEEP] = [12, 5, 5];

function indentOf(level: number): number {
  return 2 + INDENT * Math.min(level - 1, DEEP) + DEEP_INDENT * Math.max(0, level - 1 - DEEP);
}

/** A layer as a row of the worksheet. A person's values are bold, Orden's are not. */
export const WorksheetRow = memo(function WorksheetRow(props: WorksheetRowProps) {
  const { row, index, top, decision, tag, findings, folded, selected, hovered, cursor } = props;
  const { layer, level, hasChildren } = row;
  const label = layerLabel(layer);
  const off = decision?.outcome === 'aside' || (decision !== undefined && decision.within !== null);
  const classOf = (column: Column) =>
    [
      'cell',
      column === 'classes' || column === 'outputName' ? 'code' : '',
      column === 'findings' || column === 'layer' ? column : '',
      column === 'layer' && !label.own ? 'unnamed' : '',
      isSettled(tag, column) ? 'settled' : '',
      cursor === column ? 'active' : '',
    ].join(' ');
  const outcome = decision?.outcome ?? 'aside';
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-level={level}
      aria-selected={selected}
      aria-expanded={hasChildren ? !folded : undefined}
      onMouseEnter={() => props.onHover(row)}
      className={`line ${hovered ? 'hovered' : ''} ${off ? 'off' : ''}`}
      style={{ top }}
    >
      <div role="presentation" className={`mark ${outcome} ${decision?.within ? 'inside' : ''}`}>
        {OUTCOMES[outcome].letter}
      </div>
      {props.columns.map((column) => (
        <div
          key={column}
          id={cellId(layer.id, column)}
          role={column === 'layer' ? 'rowheader' : 'gridcell'}
          aria-label={column === 'layer' ? label.text : undefined}
          onMouseDown={(event) => props.onPick(row, column, event)}
          onDoubleClick={props.onEdit}
          className={classOf(column)}
          style={column === 'layer' ? { paddingLeft: indentOf(level) } : undefined}
          title={titleOf(column, row, decision, findings)}
        >
          {column === 'layer' && (
            <>
              <span
                aria-hidden
                className="fold"
                onMouseDown={(event) => {
                  if (!hasChildren) return;
                  event.stopPropagation();
                  props.onFold(row);
                }}
              >
                {hasChildren ? (folded ? '+' : '−') : ''}
              </span>
              <img
                className="small"
                src={props.picture}
                alt=""
                loading="lazy"
                decoding="async"
                draggable={false}
              />
            </>
          )}
          {column === 'findings' && findings && findings.length}
          {column === 'layer' && <span className="name">{cellText(column, row, decision)}</span>}
          {column === 'layer' && <Alike decision={decision} />}
          {column !== 'findings' && column !== 'layer' && cellText(column, row, decision)}
        </div>
      ))}
    </div>
  );
});

function Alike({ decision }: { readonly decision: Decision | undefined }) {
  const { repeat, furniture } = decision ?? {};
  if (repeat)
    return (
      <span
        className="alike"
        title={`${repeat.index + 1} of ${repeat.count} that are built alike; tags hold for all`}
      >
        {repeat.index + 1}/{repeat.count}
      </span>
    );
  return furniture ? (
    <span className="alike" title={`The same on ${furniture.count} screens`}>
      ×{furniture.count}
    </span>
  ) : null;
}

/** The whole text of a cell that may be cut off. */
function titleOf(
  column: Column,
  row: Row,
  decision: Decision | undefined,
  findings: readonly Finding[] | undefined,
): string | undefined {
  if (column === 'findings') return findings?.map(sayFinding).join('\n');
  return cellText(column, row, decision) || undefined;
}

function isSettled(tag: Tag | undefined, column: Column): boolean {
  const facet = facetOf(column);
  return facet !== null && tag?.[facet] !== undefined;
}

function cellText(column: Column, row: Row, decision: Decision | undefined): string {
  if (column === 'layer') return layerLabel(row.layer).text;
  if (!decision) return '';
  switch (column) {
    case 'outcome':
      return decision.outcome;
    case 'role':
      return decision.outcome === 'element' ? decision.role : '';
    case 'classes':
      return decision.classes.join(' ');
    case 'state':
      return decision.state?.state ?? '';
    case 'outputName':
      return nameInCode(decision) ?? '';
    case 'hidden':
      return decision.hidden ? 'hidden' : '';
    case 'findings':
      return '';
    case 'reason':
      return decision.reason;
  }
}
