import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

/**
 * Sizes of type and space, and colours of the surroundings, that a style says itself where it has a token to take; but for the width of a
 * line that two neighbours share.
 */
function ownSizes(style: string): string[] {
    const found = [
        ...style.matchAll(/^\s*font-size:(?!\s*(?:var\(|inherit|calc\())[^;]+;/gm),
        ...style.matchAll(/^\s*(?:padding|margin|gap|row-gap|column-gap)(?:-[a-z]+)*:(?! -1px;)[^;{}]*\d(?:px|em|rem)[^;{}]*;/gm),
        ...style.matchAll(
            /^\s*(?:color|background(?:-color)?|border(?:-[a-z]+)*):[^;]*#(?:e6e6e6|f1f1f1|161616|808080|1c1c1c|f0f0f0)[^;]*;/gm,
        ),
    ];
    return found.map(([text]) => text.trim());
}

const styled = readdirSync('resources/ts', { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.tsx'))
    .map((file) => join('resources/ts', file));

describe('styles', () => {
    it('take sizes and space from the tokens', () => {
        expect(styled.length).toBeGreaterThan(80);
        expect(styled.flatMap((file) => ownSizes(readFileSync(file, 'utf8')).map((text) => `${file}: ${text}`))).toEqual([]);
    });

    it('of printed sheets take their sizes of type from one scale', () => {
        const sheets = readdirSync('resources/views/cards', { encoding: 'utf8' }).map((file) =>
            readFileSync(join('resources/views/cards', file), 'utf8'),
        );
        expect(sheets.join('').match(/font-size: \{\{ \$type->/g)?.length).toBeGreaterThan(15);
        expect(
            sheets.flatMap((text) => text.match(/font-size:(?! \{\{ \$type->(?:number|title|text|small|figure) \}\})[^;]*/g) ?? []),
        ).toEqual([]);
    });

    it.each(['    font-size: 15px;', '    padding: 0 7px;', '    margin-left: 1.5em;', '    gap: 3px;', '    background: #e6e6e6;'])(
        'may not say "%s"',
        (style) => {
            expect(ownSizes(style)).toHaveLength(1);
        },
    );

    it.each(['    font-size: var(--type-small);', '    padding: 0 var(--space-2);', '    margin: 0;', '    width: 64px;'])(
        'may say "%s"',
        (style) => {
            expect(ownSizes(style)).toEqual([]);
        },
    );
});
