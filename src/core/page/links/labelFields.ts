import type { Report } from '../../findings/finding';
import { freeName } from '../../markup/freeName';
import type { LayerId } from '../../mockup/layer';
import { safeName } from '../../sort/outputNames';
import { isFieldRole } from '../../sort/vocabulary';
import type { Page } from '../frame';
import { mapBoxes, withChildren } from '../mapBoxes';
import { nodeWords, type PageNode, type TextNode } from '../node';
import { pageNodes } from '../walk';

/**
 * The page with an id for every field that a text on it labels. What a person said of a label holds before what
 * was guessed; a name that no field has is reported.
 */
export function labelFields(page: Page, report: Report): Page {
  const labelled = withSaidLabels(page, report);
  const nodes = pageNodes(labelled);
  const labels = new Map(
    nodes.flatMap((node) =>
      node.kind === 'text' && node.labelFor !== undefined ? [[node.labelFor, node] as const] : [],
    ),
  );
  if (labels.size === 0) return labelled;
  const fieldIds = new Map<LayerId, string>();
  const taken = new Set<string>(page.links?.ids.values());
  for (const node of nodes) {
    const label = isFieldRole(node.role) ? labels.get(node.layer) : undefined;
    if (!label) continue;
    const wanted = safeName(nodeWords(label)) || 'field';
    const id = freeName(wanted, (each) => taken.has(each));
    taken.add(id);
    fieldIds.set(node.layer, id);
  }
  return { ...labelled, fieldIds };
}

/** The page with the labels that a person said in the place of guessed ones. */
function withSaidLabels(page: Page, report: Report): Page {
  const nodes = pageNodes(page);
  const said = new Map<LayerId, LayerId>();
  for (const { layer, labels } of nodes) {
    if (labels === undefined) continue;
    const field = nodes.find((node) => isFieldRole(node.role) && isCalled(node, labels));
    if (field) said.set(layer, field.layer);
    else report('label-nowhere', layer, { name: labels });
  }
  if (said.size === 0) return page;
  const fields = new Set(said.values());
  const labelled = (text: TextNode): TextNode => {
    const { labelFor, ...rest } = text;
    const own = said.get(text.layer);
    if (own !== undefined) return { ...text, labelFor: own };
    return labelFor !== undefined && fields.has(labelFor) ? rest : text;
  };
  const settle = (node: PageNode): PageNode => (node.kind === 'text' ? labelled(node) : inside(node));
  const inside = mapBoxes((box) => withChildren(box, box.children.map(settle)));
  return { ...page, children: page.children.map(settle) };
}

/** True when a name means a node: by its output name or by its layer's name. */
function isCalled({ name, path }: PageNode, said: string): boolean {
  const wanted = safeName(said.replace(/^#/, ''));
  return [name, path.split('/').at(-1) ?? ''].some((each) => safeName(each) === wanted);
}
