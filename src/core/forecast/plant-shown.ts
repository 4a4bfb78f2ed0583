import type { Plant } from '../boiler';

/** A plant whose feeds give what they were seen to give. @param feeds of each, what it gives over what its fit-out says */
export const plantShown = (plant: Plant, feeds: Readonly<Record<string, number>> | undefined): Plant =>
  feeds ? { ...plant, feeds: plant.feeds.map((f) => ({ ...f, rate: f.rate * (feeds[f.name] ?? 1) })) } : plant;
