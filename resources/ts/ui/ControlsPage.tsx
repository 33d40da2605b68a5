import styled from 'styled-components';
import { Column, PartHead } from './Column';
import { Button, NativeSelect, Range, Tabs, TextInput, WordButton, WordChoice } from './controls';
import { Curve } from './Curve';
import { Row } from './layout';
import { Notice } from './Notice';
import { SURROUNDS } from './surround';
import { UndoRedo } from './UndoRedo';
import { Warned } from './Warned';

const All = styled.main`
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    & > section {
        background: var(--ground);
        color: var(--ink);
        padding-bottom: var(--space-4);
    }
    & .type p {
        line-height: 1.25;
    }
    & .number {
        font-size: var(--type-number);
        font-weight: 700;
    }
    & .title {
        font-size: var(--type-title);
        font-weight: 650;
    }
    & .small {
        font-size: var(--type-small);
    }
    & .figure {
        font-size: var(--type-figure);
        color: var(--soft-ink);
    }
    & .spaces {
        display: flex;
        align-items: end;
        gap: var(--space-2);
        & span {
            background: var(--quiet);
            height: var(--space-4);
        }
    }
`;

const NOTHING = () => undefined;
const PRESSURES = ['whisper', 'light', 'medium'].map((value) => ({ value, label: value }));
const PARTS = ['Zones', 'Palette', 'Method'].map((value) => ({ value, label: value }));
const SPACES = [1, 2, 3, 4, 5, 6];
const POINTS = [4.9, 4.3, 4, 3.9, 3.85, 3.8].map((y, i) => ({ x: 3 + 3 * i, y }));

/** Every control in every state, in all three surroundings: shown in development alone, and held against a picture by a test. */
export function ControlsPage() {
    return (
        <All>
            <h1 className="only-read">Controls</h1>
            {SURROUNDS.map((surround) => (
                <section key={surround} data-surround={surround} aria-label={surround}>
                    <Notice text="The file can’t be read; save it again." onClose={NOTHING} />
                    <Column>
                        <Type surround={surround} />
                        <Buttons />
                        <Choices />
                        <Fields surround={surround} />
                        <Curve
                            label="A curve"
                            points={POINTS}
                            here={POINTS[2]}
                            hereWords="9 pencils: 4.0"
                            xTitle="pencils"
                            yTitle="error, ΔE00"
                        />
                    </Column>
                </section>
            ))}
        </All>
    );
}

function Type({ surround }: { surround: string }) {
    return (
        <div className="type">
            <PartHead $first>
                <h2>{surround}</h2>
                <Warned count={2} />
            </PartHead>
            <p className="number">741</p>
            <p className="title">Slate step, title</p>
            <p>Text: two light coats from the middle down.</p>
            <p className="small">Small: plenty of tooth left.</p>
            <p className="figure">Figure: L* 83.1 · C* 9.2 · ΔE00 3.7</p>
            <div className="spaces">
                {SPACES.map((n) => (
                    <span key={n} style={{ width: `var(--space-${n})` }} />
                ))}
            </div>
        </div>
    );
}

function Buttons() {
    return (
        <>
            <PartHead>
                <h2>Buttons</h2>
            </PartHead>
            <Row>
                <Button $main>Start session</Button>
                <Button>Cancel</Button>
                <Button isDisabled>Cancel</Button>
            </Row>
            <Row>
                <Button isPending>Finding zones…</Button>
            </Row>
            <Row>
                <WordButton>Skip pass</WordButton>
                <WordButton aria-expanded>Open</WordButton>
                <WordButton isDisabled>Undo</WordButton>
            </Row>
            <Row>
                <a href="#link">A link leads elsewhere</a>
                <UndoRedo undoWords="rename “sea”" redoWords={null} onUndo={NOTHING} onRedo={NOTHING} />
            </Row>
        </>
    );
}

function Choices() {
    return (
        <>
            <PartHead>
                <h2>Choices</h2>
            </PartHead>
            <Tabs label="Parts" value="Palette" options={PARTS} onChange={NOTHING} />
            <WordChoice label="Pressures" value="light" options={PRESSURES} onChange={NOTHING} />
        </>
    );
}

function Fields({ surround }: { surround: string }) {
    return (
        <>
            <PartHead>
                <h2>Fields</h2>
            </PartHead>
            <Row>
                <NativeSelect aria-label={`Paper, ${surround}`} defaultValue="white medium">
                    <option>white medium</option>
                </NativeSelect>
                <NativeSelect aria-label={`Paper that can’t be chosen, ${surround}`} disabled defaultValue="black">
                    <option>black</option>
                </NativeSelect>
            </Row>
            <Row>
                <TextInput aria-label={`Number, ${surround}`} placeholder="number or name" />
                <TextInput aria-label={`Name, ${surround}`} defaultValue="wet slate" />
            </Row>
            <Range aria-label={`How far, ${surround}`} defaultValue={40} />
            <Row>
                <label>
                    <input type="checkbox" defaultChecked /> Stay signed in
                </label>
                <progress aria-label={`Planning, ${surround}`} value={3} max={14} />
            </Row>
        </>
    );
}
