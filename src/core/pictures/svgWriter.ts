import type { Clip, Layer, ShapeLayer, TextLayer, TextLine, TextRun } from '../mockup/layer';
import { isIdentity, type Matrix } from '../mockup/matrix';
import type { XmlElement } from '../mockup/mockup';
import { SHARE_BEFORE } from '../mockup/type';
import type { Paint, Stroke } from '../mockup/paint';
import { printOpaque } from '../markup/colours';
import { element, type MarkupElement, type MarkupNode } from '../markup/element';
import { quoteFamily } from '../markup/families';
import { formatNumber } from '../markup/numbers';
import { printXml } from '../markup/printXml';
import { boxAttributes, outlineElement, stopElement, viewBox } from './svgParts';
import type { StandaloneOptions } from './standaloneOptions';
import { printMatrix, decorationLines, isPlainlyPainted, moved } from './runOutlines';

/** Writes layers and collects the definitions that they refer to. */
export class SvgWriter {
  private readonly written: MarkupElement[] = [];
  /** The ids of definitions by their content. */
  private readonly names = new Map<string, string>();
  private readonly kept = new Map<string, MarkupElement | null>();
  private readonly print = (value: number): string => formatNumber(value, this.options.decimals ?? 3);

  constructor(private readonly options: StandaloneOptions) {}

  definitions(): readonly MarkupElement[] {
    return [...this.written, ...[...this.kept.values()].filter((kept) => kept !== null)];
  }

  layer(layer: Layer): MarkupElement {
    const dress = {
      transform: isIdentity(layer.transform) ? null : this.matrix(layer.transform),
      display: layer.visible ? null : 'none',
      opacity: layer.opacity === 1 ? null : formatNumber(layer.opacity, 4),
      style: this.style(layer),
      'clip-path': layer.clip && this.clip(layer.clip),
      mask: layer.mask && this.keep(layer.mask),
      filter: layer.filter && this.keepAll(layer.filter),
    };
    const content = this.content(layer);
    const [only] = content;
    const plain = Object.values(dress).every((value) => value === null);
    if (plain && content.length === 1 && typeof only === 'object') return only;
    return element('g', dress, content);
  }

  private matrix(matrix: Matrix): string {
    return printMatrix(matrix, (this.options.decimals ?? 3) + 3);
  }

  private style(layer: Layer): string | null {
    const parts: string[] = [];
    if (layer.blend !== 'normal') parts.push(`mix-blend-mode:${layer.blend}`);
    if (layer.kind === 'group' && layer.isolated) parts.push('isolation:isolate');
    return parts.join(';') || null;
  }

  private content(layer: Layer): MarkupNode[] {
    switch (layer.kind) {
      case 'group':
        return layer.layers.map((child) => this.layer(child));
      case 'shape':
        return [this.shape(layer)];
      case 'text':
        return this.text(layer);
      case 'bitmap': {
        const { box, frame } = layer;
        const href = this.options.bitmapAddress(layer.bitmap);
        const image = element('image', {
          ...boxAttributes(box, this.print),
          preserveAspectRatio: 'none',
          href,
        });
        const cut = frame.width < box.width || frame.height < box.height;
        return cut
          ? [
              element('svg', { ...boxAttributes(frame, this.print), viewBox: viewBox(frame, this.print) }, [
                image,
              ]),
            ]
          : [image];
      }
    }
  }

  private shape(layer: ShapeLayer): MarkupElement {
    const { outline, markers } = layer;
    const painted = {
      ...this.paint('fill', outline.kind === 'line' ? null : layer.fill),
      ...(layer.stroke ? this.stroke(layer.stroke) : {}),
      'paint-order': layer.strokeFirst ? 'stroke' : null,
      'shape-rendering': layer.crisp ? 'crispEdges' : null,
      'fill-rule': outline.kind === 'path' && outline.rule === 'evenodd' ? 'evenodd' : null,
      'marker-start': markers.start && this.keep(markers.start),
      'marker-mid': markers.mid && this.keep(markers.mid),
      'marker-end': markers.end && this.keep(markers.end),
    };
    return element(...outlineElement(outline, this.print, painted));
  }

  private text(layer: TextLayer): MarkupNode[] {
    if (layer.asDrawn !== null) {
      this.keep(layer.asDrawn);
      return [element('use', { href: `#${layer.asDrawn}` })];
    }
    if (layer.placed) return layer.placed.map(({ run, matrix }) => this.placedLetter(run, matrix, layer));
    return layer.lines.flatMap((line) => this.outlines(line, layer) ?? [this.line(line, layer)]);
  }

  /** The line as outlines; null when it stays text, or a run has none. */
  private outlines(line: TextLine, layer: TextLayer): MarkupElement[] | null {
    const runs = layer.rightToLeft ? [...line.runs].reverse() : line.runs;
    let x = line.x;
    const drawn = runs.map((run) => {
      const outline = this.options.outliner?.(run) ?? null;
      const place: Matrix = [line.stretch, 0, 0, 1, x, line.baseline - run.baselineShift];
      x += run.width * line.stretch;
      if (outline === null) return null;
      const lines = decorationLines(run).map(
        (top) =>
          `M0 ${this.print(top)}h${this.print(run.width)}v${this.print(run.style.size / 16)}h${this.print(-run.width)}Z`,
      );
      const d = outline + lines.join('');
      const paint = this.runPaint(run, layer);
      if (isPlainlyPainted(run)) return element('path', { d, transform: this.matrix(place), ...paint });
      // Gradients and patterns are measured in the coordinates of the element that they paint (SVG 2,
      // §14.2.1).
      return element('path', { d: moved(d, place), ...paint });
    });
    return drawn.every((path) => path !== null) ? drawn : null;
  }

  private placedLetter(run: TextRun, matrix: Matrix, layer: TextLayer): MarkupElement {
    const d = this.options.outliner?.(run) ?? null;
    const place = { transform: this.matrix(matrix) };
    if (d === null) return element('text', { ...place, ...this.runAttributes(run, layer) }, [run.text]);
    const paint = this.runPaint(run, layer);
    return isPlainlyPainted(run)
      ? element('path', { d, ...place, ...paint })
      : element('path', { d: moved(d, matrix), ...paint });
  }

  private line(line: TextLine, layer: TextLayer): MarkupElement {
    const { x, width, baseline, stretch, anchor, runs } = line;
    const share = SHARE_BEFORE[anchor];
    const place = {
      x: this.print(x + width * (layer.rightToLeft ? 1 - share : share)),
      y: this.print(baseline),
      'text-anchor': anchor === 'start' ? null : anchor,
      direction: layer.rightToLeft ? 'rtl' : null,
      textLength: stretch === 1 ? null : this.print(width),
      lengthAdjust: stretch === 1 ? null : 'spacingAndGlyphs',
      style: 'white-space:pre',
    };
    const [only] = runs;
    if (runs.length === 1 && only)
      return element('text', { ...place, ...this.runAttributes(only, layer) }, [only.text]);
    const spans = runs.map((run) => element('tspan', this.runAttributes(run, layer), [run.text]));
    return element('text', place, spans);
  }

  private runPaint(run: TextRun, layer: TextLayer): Record<string, string | null> {
    return {
      ...this.paint('fill', run.fill),
      ...(run.stroke ? this.stroke(run.stroke) : {}),
      'paint-order': layer.strokeFirst ? 'stroke' : null,
    };
  }

  private runAttributes(run: TextRun, layer: TextLayer): Record<string, string | number | null> {
    const { style } = run;
    const decorations = [
      style.underline && 'underline',
      style.overline && 'overline',
      style.lineThrough && 'line-through',
    ];
    return {
      'font-family': style.families.map(quoteFamily).join(', ') || null,
      'font-size': this.print(style.size),
      'font-weight': style.weight === 400 ? null : style.weight,
      'font-style': style.italic ? 'italic' : null,
      'font-variant': style.smallCaps ? 'small-caps' : null,
      'letter-spacing': style.letterSpacing === 0 ? null : this.print(style.letterSpacing),
      'word-spacing': style.wordSpacing === 0 ? null : this.print(style.wordSpacing),
      'text-decoration': decorations.filter(Boolean).join(' ') || null,
      'text-rendering': style.exact ? 'geometricPrecision' : null,
      'baseline-shift': run.baselineShift === 0 ? null : this.print(run.baselineShift),
      ...this.runPaint(run, layer),
    };
  }

  private paint(name: 'fill' | 'stroke', paint: Paint | null): Record<string, string | null> {
    if (!paint) return { [name]: 'none' };
    if (paint.kind === 'solid') {
      const { alpha } = paint.colour;
      return {
        [name]: printOpaque(paint.colour),
        [`${name}-opacity`]: alpha === 1 ? null : formatNumber(alpha, 4),
      };
    }
    if (paint.kind === 'defined') {
      const opacity = paint.opacity === 1 ? null : formatNumber(paint.opacity, 4);
      return { [name]: this.keep(paint.definition), [`${name}-opacity`]: opacity };
    }
    const stops = paint.stops.map(stopElement);
    const shared = {
      gradientUnits: 'userSpaceOnUse',
      gradientTransform: isIdentity(paint.transform) ? null : this.matrix(paint.transform),
      spreadMethod: paint.spread === 'pad' ? null : paint.spread,
    };
    const round = (value: number) => formatNumber(value, (this.options.decimals ?? 3) + 2);
    const gradient =
      paint.kind === 'linear'
        ? element(
            'linearGradient',
            { x1: round(paint.x1), y1: round(paint.y1), x2: round(paint.x2), y2: round(paint.y2), ...shared },
            stops,
          )
        : element(
            'radialGradient',
            {
              cx: round(paint.cx),
              cy: round(paint.cy),
              r: round(paint.r),
              fx: round(paint.fx),
              fy: round(paint.fy),
              fr: paint.fr > 0 ? round(paint.fr) : null,
              ...shared,
            },
            stops,
          );
    return { [name]: `url(#${this.define(gradient)})` };
  }

  private stroke(stroke: Stroke): Record<string, string | null> {
    return {
      ...this.paint('stroke', stroke.paint),
      'stroke-width': stroke.width === 1 ? null : this.print(stroke.width),
      'stroke-linecap': stroke.cap === 'butt' ? null : stroke.cap,
      'stroke-linejoin': stroke.join === 'miter' ? null : stroke.join,
      'stroke-miterlimit': stroke.miterLimit === 4 ? null : this.print(stroke.miterLimit),
      'stroke-dasharray':
        stroke.dashes.length === 0 ? null : stroke.dashes.map((dash) => this.print(dash)).join(' '),
      'stroke-dashoffset': stroke.dashOffset === 0 ? null : this.print(stroke.dashOffset),
      'vector-effect': stroke.fixedWidth ? 'non-scaling-stroke' : null,
    };
  }

  private clip(clip: Clip): string {
    if (clip.kind === 'defined') return this.keep(clip.definition);
    const rule =
      clip.outline.kind === 'path' && clip.outline.rule === 'evenodd' ? { 'clip-rule': 'evenodd' } : {};
    return `url(#${this.define(element('clipPath', {}, [element(...outlineElement(clip.outline, this.print, rule))]))})`;
  }

  /** Adds a definition once for equal content. */
  private define(definition: MarkupElement): string {
    const mark = printXml(definition);
    const known = this.names.get(mark);
    if (known !== undefined) return known;
    const id = `o${this.written.length + 1}`;
    this.names.set(mark, id);
    this.written.push({ ...definition, attributes: { id, ...definition.attributes } });
    return id;
  }

  /** Adds a definition as it was drawn, with all that it refers to. */
  private keep(name: string): string {
    if (!this.kept.has(name)) {
      // Reserved first, so that definitions that refer to one another end.
      this.kept.set(name, null);
      const definition = this.options.mockup.definitions[name];
      if (definition) this.kept.set(name, this.keptElement(definition));
    }
    return `url(#${name})`;
  }

  /** Adds all that an attribute's value refers to, and gives the value. */
  private keepAll(value: string): string {
    for (const [, quoted, plain] of value.matchAll(/url\(#([^)]*)\)|^#(.*)$/g))
      this.keep(quoted ?? plain ?? '');
    return value;
  }

  private keptElement(node: XmlElement): MarkupElement {
    Object.values(node.attributes).forEach((value) => this.keepAll(value));
    const attributes = Object.fromEntries(
      Object.entries(node.attributes).map(([name, value]) => [name === 'xlink:href' ? 'href' : name, value]),
    );
    return element(
      node.name,
      attributes,
      node.children.map((child) => (typeof child === 'string' ? child : this.keptElement(child))),
    );
  }
}
