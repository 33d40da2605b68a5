import { useState } from 'react';
import type { TrayPencil } from '../../../api/types';
import { Button, NativeSelect, TextInput, WordButton } from '../../../ui/controls';
import { Row } from '../../../ui/layout';
import { PaperChoice } from './PaperChoice';
import { SheetFields } from './SheetFields';

const DRAFT = 'measure-draft';

/** A sheet as it is asked for. */
export interface NewSheet {
    pencils: string;
    line: string;
    size: 'a4' | 'a5' | 'letter';
    paper: string;
}

interface SheetFormProps {
    known: readonly TrayPencil[];
    papers: readonly string[];
    isPending: boolean;
    onMake: (list: NewSheet, onMade: () => void) => void;
}

/** The pencils to be measured, typed or pasted once; what was typed is kept on this device until the sheet is made. */
export function SheetForm({ known, papers, isPending, onMake }: SheetFormProps) {
    const [pencils, setPencils] = useState(() => localStorage.getItem(DRAFT) ?? '');
    const [line, setLine] = useState('');
    const [size, setSize] = useState<NewSheet['size']>('a4');
    const [paper, setPaper] = useState('white medium');
    const write = (text: string) => {
        localStorage.setItem(DRAFT, text);
        setPencils(text);
    };
    const again = () => {
        const own = known[0]?.line ?? '';
        setLine(own);
        write(
            known
                .filter((p) => p.line === own)
                .slice(0, 60)
                .map((p) => `${p.number} ${p.name}`)
                .join('\n'),
        );
    };
    return (
        <SheetFields
            onSubmit={(e) => {
                e.preventDefault();
                onMake({ pencils, line, size, paper }, () => localStorage.removeItem(DRAFT));
            }}
        >
            <p>List your pencils, one per line: the number and, if you like, the name. Up to sixty.</p>
            <textarea
                aria-label="Pencils, one per line"
                placeholder={'12 moss\n14 brick\n17'}
                value={pencils}
                onChange={(e) => write(e.target.value)}
            />
            <Row>
                <label>
                    of the line <TextInput value={line} placeholder="none" onChange={(e) => setLine(e.target.value)} />
                </label>
                <label>
                    on{' '}
                    <NativeSelect value={size} onChange={(e) => setSize(e.target.value as NewSheet['size'])}>
                        <option value="a4">A4</option>
                        <option value="a5">A5</option>
                        <option value="letter">Letter</option>
                    </NativeSelect>
                </label>
                <PaperChoice papers={papers} value={paper} onChange={setPaper} />
            </Row>
            <Row>
                <Button $main type="submit" isPending={isPending}>
                    Create chart
                </Button>
                {known.length > 0 && <WordButton onPress={again}>Re-measure pencils in my drawer</WordButton>}
            </Row>
        </SheetFields>
    );
}
