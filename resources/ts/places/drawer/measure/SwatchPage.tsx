import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Button, TextInput } from '../../../ui/controls';
import { FourCorners, inShares } from '../../../ui/FourCorners';
import { Row } from '../../../ui/layout';
import { Reading } from '../../../ui/Reading';
import { usePicture } from '../../../ui/usePicture';
import { PaperChoice } from './PaperChoice';
import { SheetFields } from './SheetFields';
import type { SwatchDraft } from './swatchDraft';

const Count = styled(TextInput)`
    width: 56px;
`;

interface SwatchPageProps {
    draft: SwatchDraft;
    papers: readonly string[];
    isPending: boolean;
    onDraft: (change: (draft: SwatchDraft) => SwatchDraft) => void;
    onRead: (file: File, fields: Readonly<Record<string, string>>) => void;
    onCancel: () => void;
}

/** A page of swatches that one already has: a grid is laid over its photo, and what lies in it is written down row after row. */
export function SwatchPage({ draft, papers, isPending, onDraft, onRead, onCancel }: SwatchPageProps) {
    const { file } = draft;
    const choose = (
        <FileTrigger
            acceptedFileTypes={['image/*']}
            onSelect={(files) => files?.[0] !== undefined && onDraft((d) => ({ ...d, file: files[0] ?? null }))}
        >
            <Button $main={file === null}>{file === null ? 'Choose a photo of the page' : 'Another photo'}</Button>
        </FileTrigger>
    );
    return (
        <>
            <p>
                Photograph the page from above, in daylight, with bare paper all round the swatches. Each counts as two coats at full
                pressure; what a light hand makes of it is assumed.
            </p>
            {file === null ? (
                <Row>{choose}</Row>
            ) : (
                <SheetFields
                    onSubmit={(e) => {
                        e.preventDefault();
                        const { corners, rows, columns, pencils, line, paper } = draft;
                        onRead(file, { corners: inShares(corners), rows, columns, pencils, line, paper });
                    }}
                >
                    <Grid file={file} draft={draft} papers={papers} onDraft={onDraft} />
                    <Row>
                        <Button $main type="submit" isPending={isPending}>
                            Read the page
                        </Button>
                        {choose}
                    </Row>
                    <div role="status">{isPending && <Reading words="Reading the photo…" onCancel={onCancel} />}</div>
                </SheetFields>
            )}
        </>
    );
}

const count = (text: string): number => Math.max(1, Math.min(24, Math.round(Number(text)) || 1));

function Grid({ file, draft, papers, onDraft }: Pick<SwatchPageProps, 'draft' | 'papers' | 'onDraft'> & { file: File }) {
    const write = (change: Partial<SwatchDraft>) => onDraft((d) => ({ ...d, ...change }));
    return (
        <>
            <p>Drag the corners, or move them with the arrow keys, until every swatch is in its own cell.</p>
            <FourCorners
                src={usePicture(file)}
                alt="Your page of swatches"
                of="the grid"
                corners={draft.corners}
                onCorners={(next) => onDraft((d) => ({ ...d, corners: next(d.corners) }))}
                rows={count(draft.rows)}
                columns={count(draft.columns)}
            />
            <Row>
                <label>
                    rows <Count inputMode="numeric" value={draft.rows} onChange={(e) => write({ rows: e.target.value })} />
                </label>
                <label>
                    columns <Count inputMode="numeric" value={draft.columns} onChange={(e) => write({ columns: e.target.value })} />
                </label>
                <label>
                    of the line <TextInput value={draft.line} placeholder="none" onChange={(e) => write({ line: e.target.value })} />
                </label>
                <PaperChoice papers={papers} value={draft.paper} onChange={(paper) => write({ paper })} />
            </Row>
            <textarea
                aria-label="Pencils in the grid, row by row"
                placeholder={'12 moss\n14 brick\n17, 18, 19'}
                value={draft.pencils}
                onChange={(e) => write({ pencils: e.target.value })}
            />
        </>
    );
}
