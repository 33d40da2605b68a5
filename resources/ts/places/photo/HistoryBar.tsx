import styled from 'styled-components';
import { Tabs } from '../../ui/controls';
import { SideBar } from '../../ui/layout';
import { UndoRedo } from '../../ui/UndoRedo';
import type { SurveyHandle } from './survey/useSurvey';

export const COLUMNS = [
    { value: 'recipes', label: 'Recipes' },
    { value: 'spots', label: 'Spots' },
    { value: 'zones', label: 'Zones' },
    { value: 'photos', label: 'Photos' },
] as const;

export type ColumnName = (typeof COLUMNS)[number]['value'];

const keyOf = (study: number): string => `column/${study}`;

export const rememberedColumn = (study: number): ColumnName =>
    COLUMNS.find((c) => c.value === localStorage.getItem(keyOf(study)))?.value ?? 'recipes';

export const rememberColumn = (study: number, column: ColumnName): void => localStorage.setItem(keyOf(study), column);

const Bar = styled(SideBar)`
    & [role='radio'],
    & label {
        padding: 0 var(--space-2);
    }
`;

interface HistoryBarProps {
    column: ColumnName;
    columns: typeof COLUMNS;
    handle: SurveyHandle;
    onColumn: (column: ColumnName) => void;
}

/** What is beside the photo, and the history of what was noted there. */
export function HistoryBar({ column, columns, handle, onColumn }: HistoryBarProps) {
    const { survey } = handle;
    return (
        <Bar>
            <Tabs label="Beside the photo" value={column} options={columns} onChange={onColumn} />
            <span className="end">
                {column !== 'recipes' && (
                    <UndoRedo undoWords={survey?.undoWords} redoWords={survey?.redoWords} wordy onUndo={handle.undo} onRedo={handle.redo} />
                )}
            </span>
        </Bar>
    );
}
