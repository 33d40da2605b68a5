import { createGlobalStyle } from 'styled-components';

/**
 * Everything around photos and pencils is achromatic, so that it can't tint a judgement. Two surroundings to choose from:
 * paper-light and middle grey. Few sizes, even figures.
 */
export const GlobalStyle = createGlobalStyle`
    :root, :root[data-surround='light'] {
        --ground: #e4e4e4;
        --raised: #efefef;
        --ink: #161616;
        --soft-ink: #4a4a4a;
        --line: #8c8c8c;
        --strong-line: #161616;
    }
    :root[data-surround='middle'] {
        --ground: #808080;
        --raised: #8e8e8e;
        --ink: #000000;
        --soft-ink: #000000;
        --line: #3d3d3d;
        --strong-line: #000000;
    }
    :root {
        --size-small: 12px;
        --size-note: 13px;
        --size-text: 14px;
        --size-lead: 17px;
        --size-title: 20px;
        --size-number: 34px;
        --space-small: 8px;
        --space: 12px;
        --space-wide: 16px;
    }
    * { box-sizing: border-box; }
    html, body, #root { height: 100%; }
    body {
        margin: 0;
        background: var(--ground);
        color: var(--ink);
        font-family: 'Inter Variable', system-ui, sans-serif;
        font-size: var(--size-text);
        line-height: 1.35;
        font-feature-settings: 'tnum' 1, 'cv11' 1;
    }
    h1, h2, h3, p { margin: 0; font-weight: inherit; font-size: inherit; }
    button, input, select { font: inherit; color: inherit; }
    input, progress { accent-color: var(--ink); }
    a { color: inherit; }
    :focus-visible, [data-focus-visible] { outline: 3px solid var(--ink); outline-offset: 2px; }
    .only-read { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
    @media (prefers-reduced-motion: reduce) { * { animation: none !important; transition: none !important; } }
`;
