/** The formats that are tried beside a PNG without loss. */
export const TRIAL_FORMATS = ['png8', 'jpeg', 'webp', 'avif'] as const;
export type TrialFormat = (typeof TRIAL_FORMATS)[number];

/** The structural similarity from which people see no difference at 1:1 (common practice, no source). */
export const LOOKS_SAME = 0.98;
