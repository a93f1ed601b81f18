import type { LayerId } from '../../mockup/layer';
import { layerFragment } from '../markup/layerFragment';
import type { CodePart, Fragment, FragmentInput } from '../target';
import { componentOfElement } from './components';
import type { ComponentStyle } from './generalise';
import { classesOf } from './likeParts';
import { pageAddress } from './marked';
import type { Component } from './template';

/** How a framework writes a component on its own. */
export interface ComponentPrinter extends Omit<CodePart, 'code'> {
  readonly style: ComponentStyle;
  readonly print: (component: Component) => string;
}

/** The code of one layer as a component, with the components of its lists. */
export function componentFragment(
  input: FragmentInput,
  layer: LayerId,
  { style, print, ...code }: ComponentPrinter,
): Fragment {
  return layerFragment(input, layer, {
    ...code,
    addressOfPage: pageAddress,
    print: (markup) => {
      const { whole, parts } = componentOfElement(classesOf(markup)[0] ?? markup.name, markup, style);
      return [whole, ...parts].map(print).join('\n');
    },
  });
}
