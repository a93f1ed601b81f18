import type { LayerId } from '../../mockup/layer';
import { componentOfElement } from '../components/components';
import { classesOf } from '../components/likeParts';
import { filesOfBuild } from '../components/marked';
import { layerFragment } from '../html/layerFragment';
import type { Fragment, FragmentInput } from '../target';
import { componentFile } from './files';
import { hasModules } from './options';

/** The code of one layer as a component, with the components of its lists. */
export function jsxFragment(input: FragmentInput, layer: LayerId): Fragment {
  const style = { hasModules: hasModules(input), files: filesOfBuild(input) };
  return layerFragment(input, layer, {
    title: 'TSX',
    language: 'jsx',
    print: (markup) => {
      const { whole, parts } = componentOfElement(classesOf(markup)[0] ?? markup.name, markup);
      return [whole, ...parts].map((each) => componentFile(each, style, false).text).join('\n');
    },
  });
}
