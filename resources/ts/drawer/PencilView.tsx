import styled from 'styled-components';
import type { PencilPortrait, StockChange } from '../api/types';
import { PartHead } from '../ui/Column';
import { WordButton } from '../ui/controls';
import { Dab } from '../ui/Dab';
import { Pressure } from '../ui/Pressure';
import { FamilyRing } from './FamilyRing';
import { StandInPart } from './StandInPart';
import { StockBlock } from './StockBlock';

const Sheet = styled.section`
    padding: 6px 16px;
    min-width: 0;
    & h2.number {
        font-size: 34px;
        font-weight: 700;
        line-height: 1.1;
        & small {
            font-size: 17px;
            font-weight: 400;
        }
    }
    & .soft {
        color: var(--soft-ink);
        font-size: 13px;
    }
`;

const Head = styled.div`
    display: flex;
    justify-content: space-between;
    gap: 12px;
`;

const Swatches = styled.div`
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    margin: 6px 0;
    & > div > div {
        height: 46px;
    }
    & p {
        font-size: 13px;
    }
`;

const Ladder = styled.table`
    border-collapse: collapse;
    width: 100%;
    & th {
        text-align: left;
        font-weight: 400;
        font-size: 13px;
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
    gap: 0 14px;
    margin: 0;
    padding: 0 0 6px;
    list-style: none;
    font-size: 13px;
    & li {
        display: flex;
        align-items: center;
        gap: 6px;
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

interface PencilViewProps {
    pencil: PencilPortrait | undefined;
    fault: string | null;
    paper: string;
    onChosen: (id: string) => void;
    onNote: (change: StockChange) => void;
}

/** One pencil: its three swatches, what it is in words, its ladder of coats at each pressure, and what works with it. */
export function PencilView({ pencil, fault, paper, onChosen, onNote }: PencilViewProps) {
    if (pencil === undefined) {
        return <Sheet aria-label="The pencil">{fault ?? 'Choose a pencil to see what it is.'}</Sheet>;
    }
    const { swatches } = pencil;
    return (
        <Sheet aria-label="The pencil" data-testid="pencil">
            <Head>
                <div>
                    <h2 className="number">
                        {pencil.number} <small>{pencil.name}</small>
                    </h2>
                    <p>
                        {pencil.line === '' ? 'no line' : pencil.line}, {pencil.binder ?? 'binder assumed'}
                        {!pencil.owned && ', not owned'}
                    </p>
                    <p>
                        {capital(pencil.reading.words)}. {capital(pencil.reading.temperature)}. Next to {pencil.families.join(' and to ')}.
                    </p>
                    <p className="soft">
                        {pencil.assumed.length === 0 ? 'All measured.' : `Assumed, not measured: ${pencil.assumed.join(', ')}.`} Hiding{' '}
                        {Math.round(pencil.hiding * 100)} %.
                    </p>
                </div>
                <FamilyRing ring={pencil.ring} />
            </Head>
            <StockBlock pencil={pencil} onNote={(change) => onNote({ id: pencil.id, ...change })} />
            <Swatches>
                <Swatch name="heavy" strata={swatches.heavy} words={pencil.reading.family} />
                <Swatch name="light" strata={swatches.light} words={pencil.undertone} />
                <Swatch name="over black" strata={swatches.overBlack} words={pencil.hidingWords} />
            </Swatches>
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
                                <Pressure strokes={rung.pressureStrokes} word={rung.pressureWord} />
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
            <PartHead>
                <h2>What works with it</h2>
            </PartHead>
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
                        <NumberButton number={pencil.threes[0].light.number} onPress={() => onChosen(pencil.threes[0]?.light.id ?? '')} />{' '}
                        and <NumberButton number={pencil.threes[0].dark.number} onPress={() => onChosen(pencil.threes[0]?.dark.id ?? '')} />
                    </li>
                )}
            </Partners>
            <PartHead>
                <h2>{pencil.nearest.some((n) => n.near) ? 'In its place' : 'Nothing near takes its place'}</h2>
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
        </Sheet>
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

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function NumberButton({ number, onPress }: { number: string; onPress: () => void }) {
    return (
        <WordButton onPress={onPress} aria-label={`Show ${number}`}>
            <b>{number}</b>
        </WordButton>
    );
}
