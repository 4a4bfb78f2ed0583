import type { Verdict } from '$core/proof';

interface Tone {
  readonly class: '' | 'act' | 'caution';
  readonly sign: string;
}
const tones: Readonly<Record<Verdict, Tone>> = {
  within: { class: '', sign: '' },
  seen: { class: '', sign: '' },
  measured: { class: '', sign: '' },
  'too close': { class: 'caution', sign: '▲ ' },
  'shows nothing': { class: 'caution', sign: '▲ ' },
  'not within': { class: 'act', sign: '■ ' }
};

/** How a verdict is shown: colour and shape only for what is not as it should be; a word that is none, of a text somebody changed, is not. */
export const toneOf = (verdict: Verdict): Tone => tones[verdict] ?? tones['not within'];
