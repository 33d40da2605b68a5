import styled from 'styled-components';

const Frame = styled.svg`
    display: block;
    flex: none;
    width: 66px;
    height: 88px;
    & .page {
        fill: var(--raised);
        stroke: var(--line);
    }
    & line,
    & .box {
        fill: none;
        stroke: var(--ink);
        stroke-width: 0.8;
    }
    & .contour {
        fill: none;
        stroke: var(--ink);
        stroke-width: 0.8;
    }
`;

export type SheetKind = 'card' | 'zones' | 'steps' | 'outlines' | 'mirrored' | 'grid' | 'palette' | 'table';

interface SheetSketchProps {
    kind: SheetKind;
    /** Colours of the pencils, as many as are shown. */
    colours?: readonly string[];
    /** The contours of the study as a path on 1000 × 1000. */
    contours?: string;
}

const rows = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

/** What a sheet or a file looks like, small: pencils in their colours, contours as they are. */
export function SheetSketch({ kind, colours = [], contours = '' }: SheetSketchProps) {
    return (
        <Frame viewBox="0 0 66 88" aria-hidden="true">
            <rect className="page" x="0.5" y="0.5" width="65" height="87" />
            {kind === 'card' && <Card colours={colours} />}
            {kind === 'zones' && (
                <>
                    <Contours d={contours} y={7} height={30} />
                    <Lines at={[45, 52, 59, 66, 73, 80]} />
                </>
            )}
            {kind === 'steps' &&
                rows(6).map((i) => (
                    <g key={i}>
                        <rect className="box" x="8" y={9 + 12 * i} width="6" height="6" />
                        <rect x="18" y={9 + 12 * i} width="6" height="6" fill={colours[i % Math.max(1, colours.length)] ?? 'none'} />
                        <line x1="28" x2="58" y1={13 + 12 * i} y2={13 + 12 * i} />
                    </g>
                ))}
            {(kind === 'outlines' || kind === 'grid') && <Contours d={contours} y={16} height={56} />}
            {kind === 'mirrored' && (
                <g transform="translate(66 0) scale(-1 1)">
                    <Contours d={contours} y={16} height={56} />
                </g>
            )}
            {kind === 'grid' && (
                <>
                    {[21, 33, 45].map((x) => (
                        <line key={x} x1={x} x2={x} y1="16" y2="72" />
                    ))}
                    <Lines at={[30, 44, 58]} />
                </>
            )}
            {kind === 'palette' &&
                colours.map((hex, i) => (
                    <rect key={hex + i.toString()} x={8 + 13 * (i % 4)} y={8 + 13 * Math.floor(i / 4)} width="12" height="12" fill={hex} />
                ))}
            {kind === 'table' && (
                <>
                    <Lines at={[10, 20, 30, 40, 50, 60, 70, 80]} />
                    {[24, 42].map((x) => (
                        <line key={x} x1={x} x2={x} y1="10" y2="80" />
                    ))}
                </>
            )}
        </Frame>
    );
}

function Card({ colours }: { colours: readonly string[] }) {
    return rows(6).map((i) => (
        <g key={i}>
            <rect x="8" y={8 + 12 * i} width="9" height="8" fill={colours[i] ?? 'none'} />
            <line x1="21" x2="44" y1={12 + 12 * i} y2={12 + 12 * i} />
            <rect className="box" x="49" y={8 + 12 * i} width="9" height="8" />
        </g>
    ));
}

const Lines = ({ at }: { at: readonly number[] }) => at.map((y) => <line key={y} x1="8" x2="58" y1={y} y2={y} />);

function Contours({ d, y, height }: { d: string; y: number; height: number }) {
    return (
        <g transform={`translate(8 ${y}) scale(0.05 ${height / 1000})`}>
            <path className="contour" vectorEffect="non-scaling-stroke" d={`M0 0H1000V1000H0Z${d}`} />
        </g>
    );
}
