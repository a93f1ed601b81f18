import type { LayerId } from '../../mockup/layer';
import { componentOfElement } from '../components/components';
import { classesOf } from '../components/likeParts';
import { filesOfBuild } from '../components/marked';
import { layerFragment } from '../html/layerFragment';
import type { Fragment, FragmentInput } from '../target';
import { componentFile } from './sfc';
import { WORDY } from './wordyNames';

/** The code of one layer as a component, with the components of its lists. */
export function vueFragment(input: FragmentInput, layer: LayerId): Fragment {
  const files = filesOfBuild(input);
  return layerFragment(input, layer, {
    title: 'Vue',
    language: 'html',
    print: (markup) => {
      const { whole, parts } = componentOfElement(classesOf(markup)[0] ?? markup.name, markup, WORDY);
      return [whole, ...parts].map((each) => componentFile(each, { files, css: '' }, false).text).join('\n');
    },
  });
}
