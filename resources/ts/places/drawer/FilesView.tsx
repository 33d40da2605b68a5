import { useState } from 'react';
import styled from 'styled-components';
import { askFile, sentenceOf } from '../../api/client';
import type { DrawerLines, Stock } from '../../api/types';
import type { Sending } from '../../api/useOutbox';
import { Column, PartHead } from '../../ui/Column';
import { Button, NativeSelect, TextInput } from '../../ui/controls';
import { remember, rememberedTray } from './drawerState';
import { ImportPart } from './ImportPart';
import { changedCount } from './queries';

const Line = styled.form`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-2) var(--space-3);
    padding-bottom: var(--space-2);
    & input.short {
        width: 56px;
    }
    & input.numbers {
        width: 140px;
    }
`;

const Links = styled.p`
    display: flex;
    flex-wrap: wrap;
    gap: 0 var(--space-4);
    & a {
        display: inline-grid;
        place-items: center;
        min-height: 44px;
    }
`;

interface FilesViewProps {
    lines: DrawerLines['lines'];
    formats: DrawerLines['formats'];
    order: string;
    range: Sending<{ line: string; numbers: string; stock: Stock['state'] }>;
    onFault: (text: string) => void;
}

/** Pencils in, from a file or by their numbers, and out, as files and as a map of the trays. */
export function FilesView({ lines, formats, order, range, onFault }: FilesViewProps) {
    return (
        <Column aria-label="Import & export">
            <ImportPart formats={formats} />
            {lines.length > 0 && (
                <>
                    <PartHead>
                        <h2>Mark by number</h2>
                    </PartHead>
                    <ByNumber lines={lines} range={range} />
                    <PartHead>
                        <h2>Export</h2>
                    </PartHead>
                    <Links>
                        {formats.map(({ kind, name, holds }) => (
                            <a key={kind} href={`/api/drawer/file/${kind}`} download title={holds}>
                                Save as {name}
                            </a>
                        ))}
                    </Links>
                    <PartHead>
                        <h2>Map of the trays</h2>
                    </PartHead>
                    <TrayMap order={order} onFault={onFault} />
                </>
            )}
        </Column>
    );
}

/** Pencils of a line noted by their numbers. */
function ByNumber({ lines, range }: Pick<FilesViewProps, 'lines' | 'range'>) {
    const [line, setLine] = useState<string | null>(null);
    const [numbers, setNumbers] = useState('');
    const [stock, setStock] = useState<Stock['state']>('owned');
    const [changed, setChanged] = useState<number | null>(null);
    return (
        <Line
            onSubmit={(e) => {
                e.preventDefault();
                setChanged(null);
                range.mutate(
                    { line: line ?? lines[0]?.line ?? '', numbers, stock },
                    { onSuccess: (answer) => setChanged(changedCount(answer)) },
                );
            }}
        >
            <NativeSelect aria-label="Line" value={line ?? lines[0]?.line} onChange={(e) => setLine(e.target.value)}>
                {lines.map((l) => (
                    <option key={l.line} value={l.line}>
                        {l.line === '' ? 'no line' : l.line}
                    </option>
                ))}
            </NativeSelect>
            <TextInput
                aria-label="Numbers"
                className="numbers"
                placeholder="601-624, 630"
                value={numbers}
                onChange={(e) => setNumbers(e.target.value)}
            />
            <NativeSelect aria-label="are" value={stock} onChange={(e) => setStock(e.target.value as Stock['state'])}>
                <option value="owned">owned</option>
                <option value="wanted">wanted</option>
                <option value="not owned">not owned</option>
            </NativeSelect>
            <Button type="submit" isPending={range.isPending}>
                Mark pencils
            </Button>
            <span role="status">{changed === null ? '' : `${changed} changed.`}</span>
        </Line>
    );
}

function TrayMap({ order, onFault }: Pick<FilesViewProps, 'order' | 'onFault'>) {
    const [tray, setTray] = useState(rememberedTray);
    const size = (key: 'rows' | 'slots') => (
        <label>
            {key}{' '}
            <TextInput
                className="short"
                inputMode="numeric"
                value={tray[key]}
                onChange={(e) => {
                    const next = { ...tray, [key]: e.target.value };
                    setTray(next);
                    remember('tray', `${next.rows}/${next.slots}`);
                }}
            />
        </label>
    );
    const print = async () => {
        const address =
            `/api/drawer/map.pdf?order=${order}&rows=${encodeURIComponent(tray.rows)}&slots=${encodeURIComponent(tray.slots)}` as const;
        try {
            window.open(URL.createObjectURL(await askFile(address)), '_blank', 'noopener');
        } catch (error) {
            onFault(sentenceOf(error));
        }
    };
    return (
        <Line
            onSubmit={(e) => {
                e.preventDefault();
                void print();
            }}
        >
            {size('rows')}
            {size('slots')}
            <Button type="submit">Print the map</Button>
            <span>laid {order}, as at the left</span>
        </Line>
    );
}
