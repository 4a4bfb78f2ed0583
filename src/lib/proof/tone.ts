import type { Verdict } from '$core/proof';

/** How a verdict is shown: colour and shape only for what is not as it should be. */
export const tones: Readonly<Record<Verdict, { readonly class: '' | 'act' | 'caution'; readonly sign: string }>> = {
  within: { class: '', sign: '' },
  measured: { class: '', sign: '' },
  'too close': { class: 'caution', sign: '▲ ' },
  'shows nothing': { class: 'caution', sign: '▲ ' },
  'not within': { class: 'act', sign: '■ ' }
};
