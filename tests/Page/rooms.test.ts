import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';
import { describe, expect, it } from 'vitest';
import rooms from '../../eslint.rooms.js';

/** What ESLint says against a file of this content at this place. */
async function against(file: string, content: string): Promise<string[]> {
    const eslint = new ESLint({
        overrideConfigFile: true,
        overrideConfig: [{ ...rooms, files: ['**/*.ts'], languageOptions: { parser: tseslint.parser } }],
    });
    const [result] = await eslint.lintText(content, { filePath: `resources/ts/${file}` });
    return (result?.messages ?? []).map((m) => m.ruleId ?? m.message);
}

describe('the rooms of the page', () => {
    it.each([
        ['places/plan/x.ts', "import { PhotoPlace } from '../photo/PhotoPlace';"],
        ['places/photo/recipes/x.ts', "import { BookPlace } from '../../book/BookPlace';"],
        ['places/desk/x.ts', "const later = await import('../book/BookPlace');"],
        ['ui/x.ts', "import { Dab } from '../dabs/Dab';"],
        ['stage/x.ts', "export { TopBar } from '../app/TopBar';"],
        ['app/x.ts', "import { DeskPlace } from '../places/desk/DeskPlace';"],
    ])('refuses that %s says %s', async (file, content) => {
        expect(await against(file, content)).toContain('boundaries/dependencies');
    });

    it.each([
        ['places/plan/x.ts', "import { Dab } from '../../dabs/Dab';\nimport { PlanPlace } from './PlanPlace';"],
        ['app/x.ts', "import { request } from '../api/client';"],
    ])('lets %s say %s', async (file, content) => {
        expect(await against(file, content)).toEqual([]);
    });
});
