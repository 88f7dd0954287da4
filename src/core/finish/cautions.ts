/** The usual cautions of surfaces; local codes and licensed practice come first. */
export const finishCautions = {
  spray: 'Spray with air moving, no flame, mask for organic vapours and particles, gloves.',
  isocyanate:
    'Two-part paint holds isocyanates: supplied air only, never a filter mask. Leave it to a paint shop without it.',
  dust: 'Sanding dust: mask, wet where possible, not beside open machines.',
  lead: 'Finish from before about 1980: test for lead first; wet sanding only, no heat gun, no dry dust.',
  solvent: 'Solvents: air, gloves, no flame.',
  tender: 'No strong solvent on plastic: isopropyl alcohol or soap and water.',
  oven: 'Never in an oven for food or with a flame; someone stays; solvent has flashed off before.',
  earth: 'Earth points stay bare: the case stays bonded to protective earth.',
  law: 'Local codes come first; work inside mains PSUs belongs to licensed people.',
  peroxide:
    'Peroxide burns skin and eyes: goggles, nitrile gloves, air, a vented vessel never sealed, under 50 °C, never with acetone or acid, away from children.',
  edges: 'Filed and sawn edges cut: gloves and goggles.',
  chips: 'Chips short circuits: none on the bench when a board comes back.',
  glue: 'Glue and its vapour: air, gloves; read its label.',
  printer: 'A printer that runs alone is a fire risk: a smoke alarm, and only where it is allowed.',
  heavy: 'Two people lift it, from the knees; a picture tube is heaviest at its face.',
  tube: 'Picture tubes hold 25 to 35 kV and implode: it stays closed and goes to someone qualified.',
  microwave: 'A microwave’s capacitor kills after the plug is out: it stays closed.',
  asbestos:
    'Old board, rope or felt near heat may be asbestos: do not cut, brush or blow; have it tested.',
  radium:
    'Glowing dials and hands from before about 1970 may be radium: do not open, scrape or sand.',
} as const;
