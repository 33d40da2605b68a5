import { useState } from 'react';
import styled from 'styled-components';
import type { Zones, NewChange } from '../../../api/types';
import { Column, PartHead } from '../../../ui/Column';
import { WordButton, Range } from '../../../ui/controls';
import type { Tool } from '../../../stage/drawing';
import { Row } from '../../../ui/layout';

const Alike = styled.ol`
    margin: 0;
    padding: 0;
    list-style: none;
    overflow-y: auto;
    max-height: max(88px, calc(100vh - 712px));
    & li {
        display: flex;
        align-items: baseline;
        gap: var(--space-3);
        border-top: 1px solid var(--line);
        font-size: var(--type-small);
    }
    & p {
        flex: 1;
    }
`;

interface ZonesBelowProps {
    zones: Zones;
    pair: number | null;
    whites: boolean;
    onPair: (pair: number | null) => void;
    onWhites: (shown: boolean) => void;
    onTool: (tool: Tool) => void;
    onChange: (change: NewChange) => void;
}

/** What concerns all zones together: the paper that stays bare, and borders where neighbours end alike. */
export function ZonesBelow({ zones, pair, whites, onPair, onWhites, onTool, onChange }: ZonesBelowProps) {
    return (
        <Column aria-label="All zones together">
            <PartHead>
                <h2>Kept whites</h2>
                <span>{Math.round(zones.keptWhites.share * 100)} %</span>
                <WhitesFrom from={zones.keptWhites.from} onFrom={(from) => onChange({ kind: 'keepWhitesFrom', from })} />
                <WordButton onPress={() => onTool({ kind: 'keepWhite' })}>Paint</WordButton>
                <WordButton onPress={() => onTool({ kind: 'dropWhite' })}>Erase</WordButton>
                <WordButton aria-pressed={whites} onPress={() => onWhites(!whites)}>
                    {whites ? 'Hide' : 'Show'}
                </WordButton>
            </PartHead>
            <PartHead>
                <h2>
                    {zones.neighbours.length === 0
                        ? 'All neighbouring zones are clearly different'
                        : `${zones.neighbours.length} ${zones.neighbours.length === 1 ? 'border' : 'borders'} where neighbours look alike`}
                </h2>
            </PartHead>
            <Alike aria-label="Borders where neighbours look alike">
                {zones.neighbours.map((n, i) => (
                    <li key={`${n.one}/${n.other}`}>
                        <p>{n.words}</p>
                        <WordButton
                            aria-pressed={pair === i}
                            onPress={() => onPair(pair === i ? null : i)}
                            aria-label={`Preview in grey: ${n.words}`}
                        >
                            {pair === i ? 'End preview' : 'Preview'}
                        </WordButton>
                    </li>
                ))}
            </Alike>
        </Column>
    );
}

/** The lightness from which the paper stays bare; 101 is never. */
function WhitesFrom({ from, onFrom }: { from: number; onFrom: (from: number) => void }) {
    const [value, setValue] = useState<number | null>(null);
    const shown = value ?? from;
    const keep = () => {
        if (value !== null && value !== from) {
            onFrom(value);
        }
        setValue(null);
    };
    return (
        <Row as="label" $tight>
            <span>{shown > 100 ? 'off' : `from L* ${Math.round(shown)}`}</span>
            <Range
                min={70}
                max={101}
                step={1}
                value={shown}
                aria-label="Keep the paper white above this lightness"
                onChange={(e) => setValue(Number(e.target.value))}
                onPointerUp={keep}
                onKeyUp={keep}
                onBlur={keep}
                $width={90}
            />
        </Row>
    );
}
