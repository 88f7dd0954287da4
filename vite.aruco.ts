import type { Plugin } from 'vite';

/**
 * The finder of codes hands itself over as `this` of its file, which bundlers know as neither of the two ways of
 * handing over: it is put into a function whose `this` goes out as the default.
 */
export const arucoAsModule = (): Plugin => ({
  name: 'aruco-as-module',
  transform(code, id) {
    const [, file] = /js-aruco2\/src\/(aruco|cv)\.js$/.exec(id) ?? [];
    if (file === undefined) return undefined;
    const needs = file === 'aruco' ? `import cv from './cv.js';\nconst require = () => cv;\n` : '';
    return {
      code: `${needs}const root = {};\n(function () {\n${code}\n}).call(root);\nexport default root;\n`,
      map: null,
    };
  },
});
