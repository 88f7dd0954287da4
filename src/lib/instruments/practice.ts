import { simulatedPlug, type SimulatedPlug } from '$core/plugs/identify/index.ts';
import { table } from '$core/units/table.ts';

/**
 * The practice meter: a stand-in for a meter on a supply's plug, the same plug for the same part
 * every time. A maker's order of 12 V only with one enable, invented, in as many ways as counted.
 */
export function simulatedBench(partId: string, ways: number): SimulatedPlug {
  let state = [...partId].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) | 0, ways);
  const random = () => {
    state = (Math.imul(state, 1664525) + 1013904223) | 0;
    return (state >>> 0) / 4294967296;
  };
  const feeds = Math.max(1, Math.round(ways * 0.35));
  const pins: string[] = Array.from({ length: ways }, (_, i) =>
    i < feeds ? '+12V' : i === feeds ? 'PS_ON#' : i === feeds + 1 && ways > 4 ? '+12VSB' : 'COM',
  );
  for (let i = ways - 1; i > 0; i -= 1) {
    const k = Math.floor(random() * (i + 1));
    [pins[i], pins[k]] = [pins[k] as string, pins[i] as string];
  }
  const colours: Record<string, string> = table({
    '+12V': 'yellow',
    'PS_ON#': 'green',
    '+12VSB': 'purple',
    COM: 'black',
  });
  return simulatedPlug({ pins, colours: pins.map((name) => colours[name] ?? 'white') }, random);
}
