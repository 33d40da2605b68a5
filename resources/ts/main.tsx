import '@fontsource-variable/inter/wght.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { SignInScreen } from './account/SignInScreen';
import { newQueries } from './api/newQueries';
import { DrawerPlace } from './drawer/DrawerPlace';
import { PhotoPlace } from './photo/PhotoPlace';
import { PlanPlace } from './plan/PlanPlace';
import { GlobalStyle } from './ui/GlobalStyle';
import { applySurround } from './ui/surround';

// Styles made at run time carry the nonce that the content-security policy names.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
Object.assign(window, { __webpack_nonce__: nonce });
applySurround();

const queries = newQueries();

const root = document.getElementById('root');
if (root === null) {
    throw new Error('The page has no element with the id "root".');
}
createRoot(root).render(
    <StrictMode>
        <GlobalStyle />
        <QueryClientProvider client={queries}>
            <BrowserRouter>
                <Routes>
                    <Route path="/sign-in" element={<SignInScreen />} />
                    <Route path="/photo/:studyId?" element={<PhotoPlace />} />
                    <Route path="/drawer" element={<DrawerPlace />} />
                    <Route path="/plan/:studyId?" element={<PlanPlace />} />
                    <Route path="*" element={<Navigate to="/photo" replace />} />
                </Routes>
            </BrowserRouter>
        </QueryClientProvider>
    </StrictMode>,
);
