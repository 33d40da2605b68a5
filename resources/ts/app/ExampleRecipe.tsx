import styled from 'styled-components';
import { Dab } from '../dabs/Dab';
import example from './exampleRecipe.json';

const Strip = styled.figure`
    margin: 0;
    display: grid;
    grid-template-columns: 96px minmax(0, 1fr);
    gap: 0 var(--space-3);
    & .photo,
    & .dab {
        height: 44px;
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

/**
 * What an empty screen will hold: one colour of the demo's photo, and the passes that give it, as the model lays them (a test holds the
 * file to it).
 */
export function ExampleRecipe() {
    return (
        <Strip aria-label="An example recipe">
            <div className="photo" style={{ background: example.colour }} />
            <span>a colour in your photo</span>
            {[...example.passes].reverse().map((p) => (
                <Pass key={p.number} {...p} />
            ))}
            <figcaption>An example. Read it from the paper up: 711 twice, then 741, then 735; the last swatch meets the photo.</figcaption>
        </Strip>
    );
}

function Pass({ number, words, strata }: (typeof example.passes)[number]) {
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
