import type { DropItem } from 'react-aria-components';

/** The first file among what was dropped, or nothing. */
export async function droppedFile(items: readonly DropItem[]): Promise<File | null> {
    for (const item of items) {
        if (item.kind === 'file') {
            return item.getFile();
        }
    }
    return null;
}
