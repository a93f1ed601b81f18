import type { LayerId } from '../core/mockup/layer';
import type { PictureFile } from '../core/pictures/picture';
import type { TrialFormat } from '../core/pictures/trialFormats';

/** A file that a build would write. */
export type PlannedFile = Pick<PictureFile, 'path' | 'format' | 'width' | 'height' | 'quality'>;

/** An edge of a picture between two px. */
export interface PlannedEdge {
  readonly layer: LayerId;
  readonly title: string;
  /** Px to the nearest whole one, 0–0.5. */
  readonly off: number;
}

/** A picture that a build would make. */
export interface PlannedPicture {
  readonly name: string;
  /** The layers that show it. */
  readonly layers: readonly { readonly layer: LayerId; readonly title: string }[];
  /** Px of the screen. */
  readonly width: number;
  readonly height: number;
  readonly reason: string;
  readonly files: readonly PlannedFile[];
  readonly soft: readonly PlannedEdge[];
  /** What is wrong with its files, in sentences. */
  readonly problems: readonly string[];
}

/** A file of several pictures that a build would write. */
export interface PlannedSharedFile extends PlannedFile {
  readonly reason: string;
  /** The names of its pictures. */
  readonly pictures: readonly string[];
}

/** What pictures a build would make, as they are now. */
export interface PictureList {
  /** Stands for the mockup, its tags and options: drawings of another state have another one. */
  readonly mark: string;
  readonly pictures: readonly PlannedPicture[];
  readonly shared: readonly PlannedSharedFile[];
}

/** The query of a file as a trial would write it. */
export interface TrialQuery {
  readonly picture: string;
  readonly format: TrialFormat | 'png';
  readonly quality: number;
  readonly scale: number;
}
