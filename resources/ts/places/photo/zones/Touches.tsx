import styled from 'styled-components';
import type { NewChange, NewTouch, Zone } from '../../../api/types';
import type { Tool } from '../../../stage/drawing';
import { WordButton } from '../../../ui/controls';
import { EditableName } from '../../../ui/EditableName';
import { ShadeList } from './ShadeList';

const MOST = 3;

const List = styled(ShadeList)`
    & .patch {
        width: 34px;
        height: 40px;
    }
    & .soft {
        white-space: nowrap;
    }
`;

interface TouchesProps {
    zone: Zone;
    onChange: (change: NewChange) => void;
    onTool: (tool: Tool) => void;
}

/** Other colours within a zone, dashed on the photo where they lie: named, put elsewhere, added and dropped. */
export function Touches({ zone, onChange, onTool }: TouchesProps) {
    const all: readonly NewTouch[] = zone.touches.map(({ name, x, y }) => ({ name, x, y }));
    const keep = (touches: readonly NewTouch[]) => onChange({ kind: 'setTouches', zone: zone.number, touches: [...touches] });
    const put = (name: string, at: number) =>
        onTool({ kind: 'touch', zone: zone.number, name, before: all.slice(0, at), after: all.slice(at + 1) });
    return (
        <div role="group" aria-label="Touches">
            <List $first="34px" $last="auto">
                {zone.touches.map((touch, i) => (
                    <li key={touch.shade}>
                        <span className="patch" style={{ background: touch.reading.hex }} title={touch.reading.words} />
                        <span>
                            <EditableName
                                label={`Name of touch ${i + 1}`}
                                longest={40}
                                value={touch.name}
                                onChange={(name) => keep(all.map((t, j) => (j === i ? { ...t, name } : t)))}
                            />
                            <span className="soft">touch, {touch.share < 0.01 ? 'under 1' : Math.round(touch.share * 100)} % of it</span>
                        </span>
                        <span>
                            <WordButton aria-label={`Move ${touch.name}`} onPress={() => put(touch.name, i)}>
                                Move
                            </WordButton>
                            <WordButton aria-label={`Remove ${touch.name}`} onPress={() => keep(all.filter((_, j) => j !== i))}>
                                Remove
                            </WordButton>
                        </span>
                    </li>
                ))}
            </List>
            {all.length < MOST && <WordButton onPress={() => put(`touch ${all.length + 1}`, all.length)}>Add a touch</WordButton>}
        </div>
    );
}
