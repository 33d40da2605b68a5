import styled from 'styled-components';
import type { Sheet, SheetBox } from '../../../api/types';
import { WordButton } from '../../../ui/controls';

const KINDS = [
    ['heavy', 'two coats'],
    ['light', 'light coat'],
    ['black', 'over black'],
] as const;

const Table = styled.table`
    border-collapse: collapse;
    width: 100%;
    & th {
        text-align: left;
        font-weight: 400;
    }
    & td,
    & tbody th {
        padding: 0 var(--space-3) 0 0;
        border-bottom: 1px solid var(--line);
        vertical-align: middle;
    }
    & tbody th {
        min-width: 130px;
    }
    & input[type='color'] {
        width: 62px;
        height: 44px;
        padding: var(--space-1) 0;
        border: 0;
        vertical-align: middle;
        border-radius: 0;
        background: none;
        cursor: pointer;
    }
    & input::-webkit-color-swatch-wrapper {
        padding: 0;
    }
    & input::-webkit-color-swatch {
        border: 0;
        border-radius: 0;
    }
    & td:not(:last-child) {
        white-space: nowrap;
    }
    & td button {
        min-width: 32px;
    }
    & .doubtful {
        outline: 2px dashed var(--strong-line);
        outline-offset: 2px;
    }
`;

const MadeUp = styled.img`
    max-width: 100%;
    height: 260px;
    object-fit: contain;
    object-position: left;
    display: block;
    margin: var(--space-1) 0;
`;

interface MeasuredBoxesProps {
    sheet: Sheet;
    photo: string | null;
    onCorrect: (pencil: string, kind: SheetBox['kind'], hex: string | null) => void;
}

/** What the photos said, pencil by pencil, each colour to be put right by hand; what is in doubt is framed and says why. */
export function MeasuredBoxes({ sheet, photo, onCorrect }: MeasuredBoxesProps) {
    const read = sheet.pencils.filter((p) => p.boxes.length > 0);
    if (read.length === 0) {
        return null;
    }
    return (
        <>
            {photo !== null && <MadeUp src={photo} alt="The simulated photo" />}
            <Table>
                <thead>
                    <tr>
                        <th scope="col">pencil</th>
                        {KINDS.map(([kind, words]) => (
                            <th key={kind} scope="col">
                                {words}
                            </th>
                        ))}
                        <th scope="col">warnings</th>
                    </tr>
                </thead>
                <tbody>
                    {read.map((p) => (
                        <tr key={p.id}>
                            <th scope="row">
                                <b>{p.number}</b> {p.name}
                            </th>
                            {KINDS.map(([kind, words]) => (
                                <td key={kind}>
                                    <Box
                                        box={p.boxes.find((b) => b.kind === kind)}
                                        label={`${p.number}, ${words}`}
                                        onCorrect={(hex) => onCorrect(p.id, kind, hex)}
                                    />
                                </td>
                            ))}
                            <td>{notes(p.boxes)}</td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </>
    );
}

function notes(boxes: readonly SheetBox[]): string {
    if (!boxes.some((b) => b.filled)) {
        return 'not coloured in';
    }
    return [...new Set(boxes.flatMap((b) => (b.note === null ? [] : [b.note])))].join(' ');
}

function Box({ box, label, onCorrect }: { box: SheetBox | undefined; label: string; onCorrect: (hex: string | null) => void }) {
    if (box === undefined || !box.filled) {
        return box?.corrected === true ? (
            <WordButton aria-label={`Restore ${label}`} onPress={() => onCorrect(box.hex)}>
                restore
            </WordButton>
        ) : (
            <span>–</span>
        );
    }
    const said = `${label}: ${box.hex}${box.corrected ? ', corrected by hand' : `, uncertain by ${Math.round(box.doubt)}`}`;
    return (
        <>
            {/* Uncontrolled, so that a colour is sent when it is chosen and not at every step on the way. */}
            <input
                key={box.hex}
                type="color"
                aria-label={said}
                title={said}
                className={box.doubtful ? 'doubtful' : undefined}
                defaultValue={box.hex}
                onBlur={(e) => e.target.value !== box.hex && onCorrect(e.target.value)}
            />
            <WordButton aria-label={`Skip ${label}`} onPress={() => onCorrect(null)}>
                ×
            </WordButton>
        </>
    );
}
