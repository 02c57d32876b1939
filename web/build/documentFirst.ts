import type { HtmlTagDescriptor, Plugin } from 'vite';

/** What every page needs, in two files: fewer to ask for, and smaller together. */
export const FIRST = ['kit', 'common'] as const;
/** Where the server puts what the page that is asked for brings along: behind the scripts. */
const PAGE_HEAD = '<!-- the page’s own -->';

/**
 * Puts the styles of every page into the document: a browser asks one server for six files at a time, and
 * files of their own made the scripts wait. The first part of both fonts is asked for in its body: nothing
 * is drawn before a font that the head asks for has come.
 */
export const documentFirst: Plugin = {
  name: 'document-first',
  transformIndexHtml: {
    order: 'post',
    handler: (html, { bundle = {} }) => {
      const assets = Object.values(bundle).filter((file) => file.type === 'asset');
      const fonts = assets.filter(({ fileName }) => /chivo(?:-mono)?-first/.test(fileName));
      // Ours behind the kit's, which they restyle.
      const styles = FIRST.flatMap((name) =>
        assets.filter(({ fileName }) => RegExp(`assets/${name}-.*\\.css$`).test(fileName)),
      );
      if (styles.length === 0) return html;
      for (const { fileName } of styles) Reflect.deleteProperty(bundle, fileName);
      const texts = styles.map(({ fileName, source }) => [fileName, String(source)] as const);
      return {
        html: html
          .replaceAll(/\s*<link rel="stylesheet"[^>]*>/g, '')
          .replace('</head>', `${styleElement(texts)}${PAGE_HEAD}</head>`),
        tags: fonts.map(({ fileName }): HtmlTagDescriptor => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', crossorigin: true, href: `/${fileName}` },
          injectTo: 'body-prepend',
        })),
      };
    },
  },
};

/** @returns styles as a document brings them along, with the names of their files for whoever would fetch them */
export const styleElement = (styles: readonly (readonly [file: string, text: string])[]): string =>
  `<style data-files="${styles.map(([file]) => `/${file}`).join(' ')}">${styles.map(([, text]) => text).join('')}</style>`;
