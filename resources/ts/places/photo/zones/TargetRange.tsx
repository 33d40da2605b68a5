import { Slider, SliderThumb, SliderTrack } from 'react-aria-components';
import styled from 'styled-components';
import type { Zone, ZoneShade } from '../../../api/types';
import { useDraft } from '../../../ui/useDraft';

const Row = styled(Slider)`
    display: grid;
    grid-template-columns: 52px 34px minmax(0, 1fr);
    gap: 0 var(--space-3);
    align-items: center;
    min-height: 52px;
    & .patch {
        width: 34px;
        height: 40px;
    }
    & small {
        display: block;
        font-size: var(--type-small);
    }
    & b {
        overflow: hidden;
        font-weight: 700;
        text-overflow: ellipsis;
    }
`;

const Track = styled(SliderTrack)`
    height: 26px;
    cursor: pointer;
`;

const Run = styled.div`
    position: absolute;
    inset: 4px 0;
    display: flex;
    & span {
        flex: 1;
    }
`;

/** A bar wide enough for a finger, drawn thin: black between two white lines, so that it shows on any colour. */
const Thumb = styled(SliderThumb)`
    top: 50%;
    width: 24px;
    height: 44px;
    &::after {
        content: '';
        position: absolute;
        left: 9px;
        top: 8px;
        width: 6px;
        height: 28px;
        background: #000;
        border: 1.5px solid #fff;
    }
    &[data-focus-visible] {
        outline: 3px solid var(--ink);
    }
`;

interface TargetRangeProps {
    zone: Zone;
    target: ZoneShade;
    onMove: (place: number) => void;
}

/** One target of a zone on the zone's own values, dark at the left; dragging it asks the core for the colour there. */
export function TargetRange({ zone, target, onMove }: TargetRangeProps) {
    const [place, setPlace] = useDraft(target.place);
    const [dark, light] = zone.range;
    return (
        <Row
            aria-label={`${target.name} of ${zone.name}`}
            minValue={0}
            maxValue={1}
            step={0.01}
            value={place}
            onChange={(v) => setPlace(v as number)}
            onChangeEnd={(v) => onMove(v as number)}
        >
            <b>{target.name}</b>
            <span className="patch" style={{ background: target.reading.hex }} />
            <div>
                <Track data-testid="own-values">
                    <Run aria-hidden="true">
                        {zone.run.map((hex, i) => (
                            <span key={i} style={{ background: hex }} />
                        ))}
                    </Run>
                    <Thumb aria-label={`${target.name}: L* ${((dark ?? 0) + place * ((light ?? 0) - (dark ?? 0))).toFixed(0)}`} />
                </Track>
                <small>
                    {target.reading.words}
                    {target.moved && ' · moved'}
                </small>
            </div>
        </Row>
    );
}
