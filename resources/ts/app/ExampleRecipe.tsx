import styled from 'styled-components';
import { Dab } from '../dabs/Dab';

const Strip = styled.figure`
    margin: 0;
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr);
    gap: 0 var(--space-3);
    & .photo,
    & .dab {
        height: 44px;
    }
    & .photo {
        background: #d4d0be;
    }
    & span {
        align-self: center;
    }
    & b {
        font-size: var(--type-title);
    }
    & figcaption {
        grid-column: 1 / -1;
        padding-top: var(--space-2);
        color: var(--soft-ink);
        font-size: var(--type-small);
    }
`;

/** A recipe of the demo as the model laid it: the colour of a rope in the sun, from the last pass down to the paper. */
const PASSES = [
    { number: '735', words: 'Driftwood rail, in a whisper', strata: ['#c7c1ac', '#c7c1ac', '#cbc5b0', '#dbd5c1', '#efe9d8', '#f5f3ec'] },
    { number: '741', words: 'Slate step, in a whisper', strata: ['#d3cdb4', '#d3cdb4', '#d7d2ba', '#e6e1cb', '#f2eddc', '#f5f3ec'] },
    { number: '711', words: 'Dry reed, two whisper coats', strata: ['#ecdfb5', '#ecdfb5', '#eee3be', '#f2ead0', '#f4f0e2', '#f5f3ec'] },
] as const;

/** What an empty screen will hold: one colour of a photo, and the passes that give it. */
export function ExampleRecipe() {
    return (
        <Strip aria-label="An example recipe">
            <div className="photo" />
            <span>a colour in your photo</span>
            {PASSES.map((p) => (
                <Pass key={p.number} {...p} />
            ))}
            <figcaption>An example. Read it from the paper up: 711 twice, then 741, then 735; the last swatch meets the photo.</figcaption>
        </Strip>
    );
}

function Pass({ number, words, strata }: (typeof PASSES)[number]) {
    return (
        <>
            <div className="dab">
                <Dab strata={strata} width={96} height={44} label="" />
            </div>
            <span>
                <b>{number}</b> {words}
            </span>
        </>
    );
}
