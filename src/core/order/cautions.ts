/**
 * The usual cautions, shown where the step stands. They do not replace local codes:
 * mains work belongs to licensed people.
 */
export const cautions = {
  mains: 'Never open a PSU: its capacitors hold a charge. A faulty one goes to someone qualified.',
  unplug: 'Unplug the mains lead; a switched-off machine still has standby power.',
  static: 'Wear the strap, or touch bare metal first.',
  edges: 'Filed and sawn edges cut: gloves and goggles.',
  chips: 'Take every board out before cutting or filing: metal chips short circuits.',
  earth: 'Bare metal at the PSU and inlet stays bare and bonded.',
  maker: 'Never push a plug whose order is not proven, however well it fits.',
  adapter: 'First power of anything home-made through a current limit.',
  heavy: 'Two people for heavy cases.',
  data: "The drive carries other people's data: clear, purge or destroy it, and write down which.",
} as const;
