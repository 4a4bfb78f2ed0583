/** What is asked for now and then on a Footplate, over it. */
export type Dialog =
  'keys' | 'steps' | 'hand' | 'sign' | 'throw' | 'release' | 'joints' | 'watch' | 'measure' | 'accumulation' | 'sweep' | 'matrix' | 'rigs';
