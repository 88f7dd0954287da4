import type { Paper, PaperRow } from '../record/papers.ts';

/** A paper as one HTML file that any browser opens and prints, in black and white; no script, no outside address. */

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

const markWords = { stop: 'Stop', mend: 'Mend', watch: 'Watch', clear: 'Clear' } as const;

const row = ({ left, mark, text, right, strong }: PaperRow): string => {
  const words = `${mark ? `<b>${markWords[mark]}</b> ` : ''}${escaped(text)}`;
  return `<tr${strong ? ' class="sum"' : ''}><th scope="row">${escaped(left ?? '')}</th><td>${words}</td><td class="right">${escaped(right ?? '')}</td></tr>`;
};

/** `images`: data addresses of the code and of photographs, each with its caption. */
export function paperHtml(
  paper: Paper,
  images: readonly { src: string; caption: string }[] = [],
): string {
  const sections = paper.sections.map(
    ({ title, rows, empty }) =>
      `<section><h2>${escaped(title)}</h2>${
        rows.length > 0
          ? `<table><tbody>${rows.map(row).join('')}</tbody></table>`
          : `<p>${escaped(empty ?? '')}</p>`
      }</section>`,
  );
  const pictures = images
    .filter(({ src }) => /^data:image\/(?:jpeg|png|svg\+xml)[;,]/.test(src))
    .map(
      ({ src, caption }) =>
        `<figure><img src="${escaped(src)}" alt="${escaped(caption)}"><figcaption>${escaped(caption)}</figcaption></figure>`,
    );
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(paper.title)}</title>
<style>
body { max-width: 190mm; margin: 8mm auto; padding: 0 4mm; color: #000; background: #fff; font: 10.5pt/1.35 sans-serif; }
h1 { margin: 0; font-size: 16pt; }
h2 { margin: 0; border-bottom: 1px solid #000; font-size: 11.5pt; }
section { margin: 4mm 0 0; break-inside: avoid; }
table { width: 100%; border-collapse: collapse; }
th { width: 26mm; padding-right: 3mm; text-align: left; font-weight: 400; }
th, td { vertical-align: top; }
.right { text-align: right; white-space: nowrap; padding-left: 4mm; }
.sum td { border-top: 1px solid #000; font-weight: 700; }
.warning { padding: 2mm; border: 2px solid #000; }
figure { display: inline-block; margin: 3mm 4mm 0 0; }
figure img { max-height: 45mm; max-width: 85mm; }
figcaption { font-size: 9pt; }
@page { margin: 12mm; }
</style>
</head>
<body>
<header>
<h1>${escaped(paper.title)}</h1>
<p>${escaped(paper.subtitle)}</p>
<p>${escaped(paper.from)}</p>
${paper.warning ? `<p class="warning">${escaped(paper.warning)}</p>` : ''}
</header>
${sections.join('\n')}
${pictures.join('\n')}
</body>
</html>
`;
}

/** A paper as data, with its format named: for whoever reads it by program. */
export const paperJson = (paper: Paper): string =>
  `${JSON.stringify({ format: 'nutshell-swap-sheet', version: 1, ...paper }, null, 2)}\n`;
