import styled from 'styled-components';
import type { DeskShade } from '../../api/types';
import { Dab } from '../../dabs/Dab';

const Strip = styled.table`
    border-collapse: collapse;
    table-layout: fixed;
    width: 100%;
    & th,
    & td {
        padding: 0;
        text-align: left;
        vertical-align: top;
        font-weight: inherit;
    }
    & thead th,
    & .pressure td {
        padding: var(--space-1) var(--space-1) var(--space-1) 0;
        font-size: var(--type-title);
        overflow-wrap: anywhere;
    }
    & thead th:first-child,
    & tbody th {
        width: 74px;
        font-size: var(--type-small);
        color: var(--soft-ink);
        padding-right: var(--space-2);
    }
    & .pressure td {
        font-weight: 700;
    }
    & .dab {
        height: 44px;
    }
    & .dab > * {
        height: 44px;
    }
    & .lies td {
        padding: var(--space-1) var(--space-1) var(--space-1) 0;
        font-size: var(--type-small);
    }
    & .left-out {
        color: var(--soft-ink);
        font-weight: 400;
    }
`;

const Plain = styled.div<{ $hex: string }>`
    height: 44px;
    background: ${(p) => p.$hex};
`;

const STROKES: Record<string, number> = { whisper: 1, light: 2, medium: 3, firm: 4, full: 5 };

/** One to five strokes, large enough to be told from an easel's length. */
function Hatch({ pressure }: { pressure: string }) {
    const strokes = STROKES[pressure] ?? 0;
    return (
        <svg width={6 + strokes * 9} height="24" aria-hidden="true">
            {Array.from({ length: strokes }, (_, i) => (
                <line key={i} x1={3 + i * 9} y1="22" x2={11 + i * 9} y2="2" stroke="currentColor" strokeWidth="3" />
            ))}
        </svg>
    );
}

/** Where to press how much along the zone's values, its touches beside; the photo's colour touches what lies there after this pass. */
export function ShadeStrip({ shades }: { shades: readonly DeskShade[] }) {
    return (
        <Strip aria-label="Where to press how much">
            <thead>
                <tr>
                    <th scope="col">
                        <span className="only-read">What</span>
                    </th>
                    {shades.map((s) => (
                        <th key={s.shade} scope="col">
                            {s.name}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                <tr className="pressure">
                    <th scope="row">pressure</th>
                    {shades.map((s) => (
                        <td key={s.shade}>
                            {s.pressure === null ? (
                                <span className="left-out">not here</span>
                            ) : (
                                <>
                                    <Hatch pressure={s.pressure} /> {s.pressure}
                                </>
                            )}
                        </td>
                    ))}
                </tr>
                <Row name="now" of={shades} dab={(s) => s.before} />
                <Row name="after" of={shades} dab={(s) => s.after} />
                <tr className="lies">
                    <th scope="row">evenness</th>
                    {shades.map((s) => (
                        <td key={s.shade}>{s.after.evenness}</td>
                    ))}
                </tr>
                <tr>
                    <th scope="row">the photo</th>
                    {shades.map((s) => (
                        <td key={s.shade} className="dab">
                            <Plain $hex={s.seen} />
                        </td>
                    ))}
                </tr>
            </tbody>
        </Strip>
    );
}

function Row({ name, of, dab }: { name: string; of: readonly DeskShade[]; dab: (shade: DeskShade) => DeskShade['before'] }) {
    return (
        <tr>
            <th scope="row">{name}</th>
            {of.map((s) => (
                <td key={s.shade} className="dab">
                    {dab(s).strata.length === 0 ? (
                        <Plain $hex={dab(s).hex} />
                    ) : (
                        <Dab strata={dab(s).strata} width={110} height={44} label="" />
                    )}
                </td>
            ))}
        </tr>
    );
}
