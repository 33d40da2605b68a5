import styled from 'styled-components';
import { sentenceOf } from '../../api/client';
import type { Spot } from '../../api/types';
import { TextInput, WordChoice } from '../../ui/controls';
import { RING_WORDS, RINGS, type SpotState } from '../../stage/spotState';

const Block = styled.section`
    display: grid;
    grid-template-columns: 128px minmax(0, 1fr);
    gap: 0 var(--space-4);
    padding: var(--space-3) var(--space-4) var(--space-2);
    @media (max-width: 599px) {
        grid-template-columns: 84px minmax(0, 1fr);
        align-items: start;
    }
`;

/** The spot alone on a neutral that is neither light nor dark, as one judges a colour. */
const OnGrey = styled.div`
    background: #777;
    display: grid;
    place-items: center;
    min-height: 104px;
    & span {
        width: 62px;
        height: 56px;
    }
`;

const Words = styled.p`
    font-size: var(--type-title);
    line-height: 1.25;
    min-height: 25px;
`;

const Row = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 var(--space-3);
    & .name {
        display: flex;
        align-items: center;
        gap: var(--space-2);
        flex: 1 1 130px;
        min-width: 0;
    }
    & .name input {
        flex: 1;
    }
`;

const RING_CHOICES = RINGS.map((r) => ({ value: String(r), label: RING_WORDS[r] ?? '' }));

interface ReadingBlockProps {
    reading: Spot | undefined;
    fault: unknown;
    spot: SpotState;
    /** Its name for the plan; null when no recipe is chosen. */
    name: string | null;
    onName: (name: string) => void;
    onRing: (ring: number) => void;
}

/** What colour the spot is: words first, figures second; and its name for the plan. */
export function ReadingBlock({ reading, fault, spot, name, onName, onRing }: ReadingBlockProps) {
    return (
        <Block aria-label="The spot">
            <OnGrey>
                <span
                    style={{ background: reading?.hex }}
                    role="img"
                    aria-label={reading === undefined ? 'the spot' : `the spot: ${reading.words}`}
                />
            </OnGrey>
            <div>
                <div id="reading" role="status" data-testid="reading">
                    <Words>
                        {reading === undefined ? (fault === null ? 'Measuring the spot…' : sentenceOf(fault)) : capital(reading.words)}
                    </Words>
                    {reading !== undefined && (
                        <p>
                            {capital(reading.temperature)} · L* {reading.lab[0]?.toFixed(1)} · C* {reading.chroma.toFixed(1)} · h{' '}
                            {reading.hueDegrees.toFixed(0)}°{reading.mixed && ' · the ring covers light and dark: choose a smaller one'}
                        </p>
                    )}
                </div>
                <Row>
                    <span>Ring</span>
                    <WordChoice
                        label="Size of the ring"
                        value={String(spot.ring)}
                        options={RING_CHOICES}
                        onChange={(r) => onRing(Number(r))}
                    />
                    {name !== null && (
                        <label className="name">
                            Name
                            <TextInput
                                value={name}
                                maxLength={120}
                                placeholder={reading?.family ?? ''}
                                onChange={(e) => onName(e.target.value)}
                            />
                        </label>
                    )}
                </Row>
            </div>
        </Block>
    );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
