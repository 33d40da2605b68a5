import styled from 'styled-components';
import type { PencilPortrait } from '../../api/types';
import { PartHead } from '../../ui/Column';
import { WordButton } from '../../ui/controls';
import { Dab } from '../../dabs/Dab';
import { Pressure } from '../../dabs/Pressure';
import { StandInPart } from './StandInPart';

const Swatches = styled.div`
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    margin: var(--space-2) 0;
    & > div > div {
        height: 46px;
    }
    & p {
        font-size: var(--type-small);
    }
`;

const Ladder = styled.table`
    border-collapse: collapse;
    width: 100%;
    & th {
        text-align: left;
        font-weight: 400;
        font-size: var(--type-small);
        width: 96px;
    }
    & td {
        padding: 0;
        height: 26px;
    }
    & thead th {
        width: auto;
    }
`;

const Partners = styled.ul`
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--space-3);
    margin: 0;
    padding: 0 0 var(--space-2);
    list-style: none;
    font-size: var(--type-small);
    & li {
        display: flex;
        align-items: center;
        gap: var(--space-2);
        min-height: 34px;
    }
    & .dab {
        width: 34px;
        height: 28px;
    }
    & b {
        font-weight: 700;
    }
`;

interface PencilBodyProps {
    pencil: PencilPortrait;
    paper: string;
    onChosen: (id: string) => void;
}

/** What had to be laid of a pencil: its swatches, its ladder of coats at each pressure, what works with it and what is near it. */
export function PencilBody({ pencil, paper, onChosen }: PencilBodyProps) {
    const { swatches } = pencil;
    return (
        <>
            <Swatches>
                <Swatch name="heavy" strata={swatches.heavy} words={pencil.reading.family} />
                <Swatch name="light" strata={swatches.light} words={pencil.undertone} />
                <Swatch name="over black" strata={swatches.overBlack} words={pencil.hidingWords} />
            </Swatches>
            <CoatLadder pencil={pencil} paper={paper} />
            <PartHead>
                <h2>Works well with</h2>
            </PartHead>
            <WorksWith pencil={pencil} onChosen={onChosen} />
            <PartHead>
                <h2>{pencil.nearest.some((n) => n.near) ? 'Alternatives' : 'No close alternative'}</h2>
                <StandInPart key={pencil.id} pencil={pencil} paper={paper} />
            </PartHead>
            <Partners>
                {pencil.nearest.slice(0, 2).map((n) => (
                    <li key={n.pencil.id}>
                        <span className="dab">
                            <Dab strata={n.strata} width={34} height={28} label="" />
                        </span>
                        <NumberButton number={n.pencil.number} onPress={() => onChosen(n.pencil.id)} />
                        {n.pencil.name}
                        {!n.owned && ', not owned'} (ΔE00 {n.heavyDeltaE00.toFixed(1)} heavy, {n.lightDeltaE00.toFixed(1)} light)
                    </li>
                ))}
            </Partners>
        </>
    );
}

function Swatch({ name, strata, words }: { name: string; strata: readonly string[]; words: string }) {
    return (
        <div>
            <div>
                <Dab strata={strata} width={150} height={46} label={`${name}: ${words}`} />
            </div>
            <p>
                <b>{name}</b>: {words}
            </p>
        </div>
    );
}

function Partner({
    what,
    number,
    words,
    strata,
    onPress,
}: {
    what: string;
    number: string;
    words: string;
    strata: readonly string[];
    onPress: () => void;
}) {
    return (
        <li title={words}>
            <span className="dab">
                <Dab strata={strata} width={34} height={28} label={words} />
            </span>
            {what} <NumberButton number={number} onPress={onPress} />
        </li>
    );
}

/** What works on it from beneath and over it, each with what it does. */
function partnersOf(pencil: PencilPortrait): { what: string; partner: PencilPortrait['neutralisers'][number] }[] {
    return [
        ...pencil.neutralisers.slice(0, 2).map((partner, i) => ({ what: i === 0 ? 'neutralised by' : 'or', partner })),
        ...(pencil.darkener === null ? [] : [{ what: 'darkened by', partner: pencil.darkener }]),
        ...(pencil.brightener === null ? [] : [{ what: 'brightened by', partner: pencil.brightener }]),
    ];
}

function NumberButton({ number, onPress }: { number: string; onPress: () => void }) {
    return (
        <WordButton onPress={onPress} aria-label={`Show ${number}`}>
            <b>{number}</b>
        </WordButton>
    );
}

function CoatLadder({ pencil, paper }: { pencil: PencilPortrait; paper: string }) {
    return (
        <Ladder aria-label={`One to six coats at each pressure on ${paper}`}>
            <thead>
                <tr>
                    <th scope="col">coats</th>
                    {pencil.ladder[0]?.coats.map((_, i) => (
                        <th key={i} scope="col">
                            {i + 1}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {pencil.ladder.map((rung) => (
                    <tr key={rung.pressureWord}>
                        <th scope="row">
                            <Pressure word={rung.pressureWord} />
                        </th>
                        {rung.coats.map((coat, i) => (
                            <td key={i}>
                                <Dab
                                    strata={coat.strata}
                                    width={62}
                                    height={26}
                                    label={`${i + 1} at ${rung.pressureWord}: ${coat.colourWords}`}
                                />
                            </td>
                        ))}
                    </tr>
                ))}
            </tbody>
        </Ladder>
    );
}

function WorksWith({ pencil, onChosen }: { pencil: PencilPortrait; onChosen: (id: string) => void }) {
    return (
        <Partners>
            {partnersOf(pencil).map(({ what, partner }) => (
                <Partner
                    key={what + partner.pencil.id}
                    what={what}
                    number={partner.pencil.number}
                    words={partner.words}
                    strata={partner.strata}
                    onPress={() => onChosen(partner.pencil.id)}
                />
            ))}
            {pencil.standsOutBy !== null && (
                <li>
                    stands out beside{' '}
                    <NumberButton number={pencil.standsOutBy.number} onPress={() => onChosen(pencil.standsOutBy?.id ?? '')} />
                </li>
            )}
            {pencil.threes[0] !== undefined && (
                <li>
                    a run of three with{' '}
                    <NumberButton number={pencil.threes[0].light.number} onPress={() => onChosen(pencil.threes[0]?.light.id ?? '')} /> and{' '}
                    <NumberButton number={pencil.threes[0].dark.number} onPress={() => onChosen(pencil.threes[0]?.dark.id ?? '')} />
                </li>
            )}
        </Partners>
    );
}
