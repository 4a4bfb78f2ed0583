/**
 * A time-ordered UUID (RFC 9562, version 7) from a clock and ten random bytes, so that entries made by many devices sort
 * by when they were made and never collide.
 * @param ms milliseconds since 1970
 */
export function timeOrderedId(ms: number, random: Uint8Array): string {
  const bytes = [...[40, 32, 24, 16, 8, 0].map((shift) => Math.floor(ms / 2 ** shift) % 256), ...random.slice(0, 10)];
  bytes[6] = (bytes[6]! & 0x0f) | 0x70;
  bytes[8] = (bytes[8]! & 0x3f) | 0x80;
  const hex = bytes.map((b) => b.toString(16).padStart(2, '0')).join('');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}
