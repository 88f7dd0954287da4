/**
 * What the browser's own font size is to the usual 16 px: 2 where its user doubled it. The page is shown that much
 * larger as a whole, with the layout of a screen that much smaller: breakpoints are in em, which follow it too.
 */
export function browserFont(): number {
  const probe = document.createElement('span');
  probe.style.cssText = 'font-size: medium; font-family: serif; position: absolute';
  document.body.append(probe);
  const size = parseFloat(getComputedStyle(probe).fontSize);
  probe.remove();
  return size > 0 ? size / 16 : 1;
}
