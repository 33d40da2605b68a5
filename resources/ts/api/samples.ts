import { useMutation, useQueryClient } from '@tanstack/react-query';
import { askAgain } from './answers';
import { ask, askFile, askWithFile, RequestFailed, send } from './client';
import { newKey } from './keptEdits';

const ASKED_AGAIN_AFTER = 250;

/** Puts the invented pencils into an empty drawer: one press, from anywhere. */
export function useSamplePencils(onFault: (error: unknown) => void) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: async () => {
            const file = new File([await askFile('/api/drawer/sample.csv')], 'sample.csv');
            const { id } = await askWithFile('/api/drawer/imports', 'file', file, { key: newKey() });
            let standing = await send('POST', `/api/drawer/imports/${id}/take`, {});
            while (standing.state === 'waiting' || standing.state === 'working') {
                await new Promise((resolve) => setTimeout(resolve, ASKED_AGAIN_AFTER));
                standing = await ask(`/api/drawer/imports/${id}`);
            }
            if (standing.state !== 'done') {
                const detail = 'The sample pencils were not added. Try again.';
                throw new RequestFailed(0, { type: 'about:blank', title: 'Not added', status: 0, detail });
            }
            await askAgain(client, 'drawer', 'recipes');
        },
        onError: onFault,
    });
}

/** The invented photo that ships with the application, as a file to open like any other. */
export const samplePhoto = async (): Promise<File> =>
    new File([await askFile('/api/studies/sample.jpg')], 'low water.jpg', { type: 'image/jpeg' });
