/** A text as a code a bench scanner reads (Code 128, ISO/IEC 15417), padded so that it is found; an image address. */
export async function codeImage(text: string): Promise<string> {
  const { code128, drawingSVG } = await import('bwip-js/browser');
  const svg = code128(
    { bcid: 'code128', text, height: 12, scale: 2, paddingwidth: 10, paddingheight: 4 },
    drawingSVG(),
  );
  return `data:image/svg+xml,${encodeURIComponent(svg)}`;
}
