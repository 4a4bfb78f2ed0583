import { knowOffsets } from '$core/units';

/** The server says how the club's clock runs, so that a phone need not load its tables of zones before it can show a time. */
export const load = ({ data }) => {
  knowOffsets(data.zone, data.offsets);
  return data;
};
