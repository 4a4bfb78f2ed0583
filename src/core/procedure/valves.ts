/** What is opened and shut on an engine, or on the chimney of one. The word is what the log stores. */
export const valves = ['blower', 'damper', 'regulator', 'drains', 'blow-down', 'vent', 'fan', 'fire door', 'whistle'] as const;
export type Valve = (typeof valves)[number];
