import styled from 'styled-components';

import type { DrawerImport, ImportChoices } from '../../api/types';

import { Button, NativeSelect } from '../../ui/controls';
import { Row } from '../../ui/layout';

export const Lines = styled.ol`
    margin: var(--space-1) 0 var(--space-2);
    padding: 0;
    list-style: none;
    max-height: 190px;
    overflow-y: auto;
    font-size: var(--type-text);
    & li {
        padding: var(--space-1) 0;
        border-bottom: 1px solid var(--line);
    }
    & b {
        font-weight: 700;
    }
`;

const Choices = styled.div`
    display: grid;
    gap: var(--space-1);
    & label {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: var(--space-2);
    }
`;

interface PreviewProps {
    preview: NonNullable<DrawerImport['preview']>;
    choices: ImportChoices;
    busy: boolean;
    onChoose: (choices: ImportChoices) => void;
    onTake: () => void;
    onLeave: () => void;
}

/** What this import changes, row by row, and how it is to be done. */
export function Preview({ preview, choices, busy, onChoose, onTake, onLeave }: PreviewProps) {
    const { counts, twice } = preview;
    const written = counts.new + counts.changed + counts.dropped;
    return (
        <section aria-label="What this import changes">
            <p>
                <strong>
                    {counts.new} new, {counts.changed} changed, {counts.same} as they are
                    {counts.dropped > 0 && `, ${counts.dropped} no longer owned`}.
                </strong>
            </p>
            <ImportChoice choices={choices} twice={twice.length > 0} onChoose={onChoose} />
            <Findings preview={preview} written={written} />
            <Row>
                <Button $main isPending={busy} isDisabled={written === 0} onPress={onTake}>
                    {written === 0 ? 'Nothing to import' : `Import ${written} pencils`}
                </Button>
                <Button onPress={onLeave}>Cancel</Button>
            </Row>
        </section>
    );
}

function ImportChoice({
    choices,
    twice,
    onChoose,
}: {
    choices: ImportChoices;
    twice: boolean;
    onChoose: (choices: ImportChoices) => void;
}) {
    const select = <K extends keyof ImportChoices>(key: K, label: string, options: readonly (readonly [ImportChoices[K], string])[]) => (
        <label>
            {label}
            <NativeSelect
                value={choices[key]}
                $width={330}
                onChange={(e) => onChoose({ ...choices, [key]: e.target.value as ImportChoices[K] })}
            >
                {options.map(([value, words]) => (
                    <option key={value} value={value}>
                        {words}
                    </option>
                ))}
            </NativeSelect>
        </label>
    );
    return (
        <Choices>
            {select('known', 'Pencils you already have:', [
                ['renew', 'update from the file'],
                ['fill', 'fill in missing details'],
                ['keep', 'keep unchanged'],
            ])}
            {twice &&
                select('twice', 'Several rows for one pencil:', [
                    ['merge', 'merge'],
                    ['first', 'use the first'],
                ])}
            {select('others', 'Pencils not in the file:', [
                ['keep', 'keep unchanged'],
                ['not owned', 'mark as not owned'],
            ])}
        </Choices>
    );
}

function Findings({ preview, written }: { preview: PreviewProps['preview']; written: number }) {
    const { counts, problems, twice, rows } = preview;
    return (
        <>
            {counts.problems > 0 && (
                <>
                    <p>
                        <strong>
                            {counts.problems} {counts.problems === 1 ? 'row has a problem' : 'problems'}; these rows are skipped:
                        </strong>
                    </p>
                    <Lines aria-label="Problems" tabIndex={0}>
                        {problems.map((p) => (
                            <li key={p}>{p}</li>
                        ))}
                    </Lines>
                </>
            )}
            {twice.length > 0 && (
                <Lines aria-label="Several rows for one pencil" tabIndex={0}>
                    {twice.map((t) => (
                        <li key={t.id}>
                            <b>{t.id}</b> is in rows {t.rows.join(', ')}
                            {t.differs.length > 0
                                ? `; they differ in ${t.differs.join(', ').replaceAll('_', ' ')}, the first row is used`
                                : ''}
                        </li>
                    ))}
                </Lines>
            )}
            {rows.length > 0 && (
                <Lines aria-label="Pencils that would change" tabIndex={0}>
                    {rows.map((r) => (
                        <li key={r.row}>
                            row {r.row}: <b>{r.number}</b> {r.name}
                            {r.line === '' ? '' : `, ${r.line}`} ({r.what}, {r.stock})
                        </li>
                    ))}
                    {written > rows.length && <li>and {written - rows.length} more</li>}
                </Lines>
            )}
        </>
    );
}
