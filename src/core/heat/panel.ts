/** What a panel costs, from a run with it and one without, and what to do about it. */
export interface PanelVerdict {
  says: 'the panel is the problem' | 'the panel costs something' | 'the panel costs nothing';
  text: string;
}

/** From 20 K the panel is the problem; below 5 it is not worth a hand (common practice, no source). */
const PANEL_K = { problem: 20, something: 5 };

/** Verdict for a drop in kelvin with its span. */
export function panelVerdict(dropK: number, lo: number, hi: number): PanelVerdict {
  const figure = `${dropK.toFixed(0)} K (${lo.toFixed(0)} to ${hi.toFixed(0)} K)`;
  if (lo >= PANEL_K.problem)
    return {
      says: 'the panel is the problem',
      text: `${figure} without it: the cooler is good, it gets no air. Open the panel before buying a cooler.`,
    };
  if (hi < PANEL_K.something)
    return {
      says: 'the panel costs nothing',
      text: `${figure} without it: air is not what lacks. Look at paste, cooler and watts.`,
    };
  return {
    says: 'the panel costs something',
    text: `${figure} without it: ${dropK >= PANEL_K.problem ? 'likely the panel, the span does not prove it' : 'worth a mesh, not a new case'}.`,
  };
}

/** Remedies in rising effort, with what each costs and spoils (common practice, no source; kelvins are spans of what is claimed). */
export const heatRemedies: readonly {
  title: string;
  minutes: number;
  money: string;
  gainsK: string;
  looks: string;
  dust: string;
  noise: string;
}[] = [
  {
    title: 'panel off',
    minutes: 1,
    money: 'nothing',
    gainsK: '5 to 30',
    looks: 'open',
    dust: 'much',
    noise: 'more heard',
  },
  {
    title: 'mesh in place of the panel',
    minutes: 45,
    money: 'little',
    gainsK: '5 to 25',
    looks: 'changed',
    dust: 'some',
    noise: 'a little more',
  },
  {
    title: 'fans to the inside of the front',
    minutes: 20,
    money: 'nothing',
    gainsK: '2 to 8',
    looks: 'as before',
    dust: 'as before',
    noise: 'as before',
  },
  {
    title: 'a fan more',
    minutes: 20,
    money: 'little',
    gainsK: '2 to 10',
    looks: 'as before',
    dust: 'some',
    noise: 'more',
  },
  {
    title: 'taller feet under a floor vent',
    minutes: 10,
    money: 'little',
    gainsK: '1 to 6',
    looks: 'stands higher',
    dust: 'less',
    noise: 'as before',
  },
  {
    title: 'new paste, pads of the right thickness',
    minutes: 25,
    money: 'little',
    gainsK: '2 to 10',
    looks: 'as before',
    dust: 'as before',
    noise: 'less',
  },
  {
    title: 'undervolt',
    minutes: 60,
    money: 'nothing',
    gainsK: '3 to 15',
    looks: 'as before',
    dust: 'as before',
    noise: 'less',
  },
  {
    title: 'a better cooler',
    minutes: 45,
    money: 'some',
    gainsK: '5 to 30',
    looks: 'as before',
    dust: 'as before',
    noise: 'less',
  },
  {
    title: 'lid off the CPU',
    minutes: 90,
    money: 'some',
    gainsK: '10 to 20 claimed; cannot be undone',
    looks: 'as before',
    dust: 'as before',
    noise: 'less',
  },
  {
    title: 'a new case',
    minutes: 150,
    money: 'much',
    gainsK: '5 to 30',
    looks: 'another',
    dust: 'as built',
    noise: 'as built',
  },
];
