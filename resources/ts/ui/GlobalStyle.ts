import { createGlobalStyle, css } from 'styled-components';

/**
 * Everything around photos and pencils is achromatic, so that it can't tint a judgement. Three surroundings: paper-light, middle grey, and
 * dark for the evening. Until one is chosen, those of the system.
 */
const light = css`
    color-scheme: light;
    --ground: #e6e6e6;
    --raised: #f1f1f1;
    --quiet: #d3d3d3;
    --ink: #161616;
    --soft-ink: #484848;
    --line: #8c8c8c;
    --strong-line: #161616;
`;

const middle = css`
    color-scheme: light;
    --ground: #808080;
    --raised: #8e8e8e;
    --quiet: #969696;
    --ink: #000000;
    --soft-ink: #000000;
    --line: #3d3d3d;
    --strong-line: #000000;
`;

const dark = css`
    color-scheme: dark;
    --ground: #1c1c1c;
    --raised: #272727;
    --quiet: #383838;
    --ink: #f0f0f0;
    --soft-ink: #bebebe;
    --line: #787878;
    --strong-line: #e4e4e4;
`;

/** Five sizes of type, six of space. Styles elsewhere take sizes, space and colours of the surroundings from here alone. */
const tokens = css`
    --type-number: 36px;
    --type-title: 20px;
    --type-text: 14px;
    --type-small: 13px;
    --type-figure: 12px;
    --space-1: 4px;
    --space-2: 8px;
    --space-3: 12px;
    --space-4: 16px;
    --space-5: 24px;
    --space-6: 40px;
    --touch: 44px;
`;

/** On a large screen one sits farther off: the same scales, a fifth larger. */
const large = css`
    --type-number: 44px;
    --type-title: 24px;
    --type-text: 17px;
    --type-small: 16px;
    --type-figure: 14px;
    --space-1: 5px;
    --space-2: 10px;
    --space-3: 15px;
    --space-4: 20px;
    --space-5: 30px;
    --space-6: 48px;
    --touch: 48px;
`;

export const GlobalStyle = createGlobalStyle`
    :root {
        ${tokens}
        ${light}
    }
    @media (min-width: 1900px) {
        :root {
            ${large}
        }
    }
    @media (prefers-color-scheme: dark) {
        :root {
            ${dark}
        }
    }
    [data-surround='light'] {
        ${light}
    }
    [data-surround='middle'] {
        ${middle}
    }
    [data-surround='dark'] {
        ${dark}
    }
    /* Read from a metre away, with the pencil in the hand. */
    .from-afar {
        --type-number: clamp(66px, 7vw, 96px);
        --type-title: clamp(19px, 1.75vw, 24px);
        --type-text: clamp(15px, 1.25vw, 17px);
        --type-small: 14px;
        --type-figure: 13px;
        font-size: var(--type-text);
    }
    @media (min-width: 1900px) {
        .from-afar {
            --type-title: 30px;
            --type-text: 21px;
            --type-small: 17px;
            --type-figure: 16px;
        }
    }
    * { box-sizing: border-box; }
    html, body, #root { height: 100%; }
    body {
        margin: 0;
        background: var(--ground);
        color: var(--ink);
        font-family: 'Inter Variable', system-ui, sans-serif;
        font-size: var(--type-text);
        line-height: 1.4;
        font-feature-settings: 'tnum' 1, 'cv11' 1;
    }
    h1, h2, h3, p { margin: 0; font-weight: inherit; font-size: inherit; }
    h1, h2, h3 { font-weight: 650; line-height: 1.25; text-wrap: balance; }
    button, input, select { font: inherit; color: inherit; }
    input, progress { accent-color: var(--ink); }
    a { color: inherit; text-underline-offset: 3px; }
    :focus-visible, [data-focus-visible] { outline: 3px solid var(--ink); outline-offset: 2px; }
    .only-read { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
    @media (prefers-reduced-motion: reduce) { * { animation: none !important; transition: none !important; } }
`;
