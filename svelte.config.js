import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** Kit's route announcer carries one inline style; this is its hash. */
const announcer = "'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo='";

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter({ out: 'build', precompress: true }),
    alias: { $core: 'src/core', '$core/*': 'src/core/*' },
    paths: { relative: false },
    csp: {
      mode: 'auto',
      directives: {
        'default-src': ['none'],
        'script-src': ['self', 'wasm-unsafe-eval'],
        'style-src': ['self'],
        'style-src-attr': ['unsafe-hashes', announcer],
        'img-src': ['self', 'data:', 'blob:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'object-src': ['none'],
        'base-uri': ['none'],
        'frame-ancestors': ['none'],
        'form-action': ['self'],
      },
    },
    typescript: {
      config: (config) => {
        config.include = config.include.filter((path) => !path.includes('tests'));
        config.exclude = [...(config.exclude ?? []), '../tests/**', '../src/service-worker/**'];
        return config;
      },
    },
  },
};
