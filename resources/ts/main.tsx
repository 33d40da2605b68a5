import '@fontsource-variable/inter/wght.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { newQueries } from './api/newQueries';
import { GlobalStyle } from './ui/GlobalStyle';
import { PlaceBoundary } from './app/PlaceBoundary';
import { showChosen } from './ui/surround';

// Styles made at run time carry the nonce that the content-security policy names.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="style-nonce"]')?.content;
Object.assign(window, { __webpack_nonce__: nonce });
showChosen();

const queries = newQueries();

// Each is loaded when it is gone to.
const SignInScreen = lazy(async () => ({ default: (await import('./app/SignInScreen')).SignInScreen }));
const PhotoPlace = lazy(async () => ({ default: (await import('./places/photo/PhotoPlace')).PhotoPlace }));
const DrawerPlace = lazy(async () => ({ default: (await import('./places/drawer/DrawerPlace')).DrawerPlace }));
const PlanPlace = lazy(async () => ({ default: (await import('./places/plan/PlanPlace')).PlanPlace }));
const DeskPlace = lazy(async () => ({ default: (await import('./places/desk/DeskPlace')).DeskPlace }));
const BookPlace = lazy(async () => ({ default: (await import('./places/book/BookPlace')).BookPlace }));
const AccountPlace = lazy(async () => ({ default: (await import('./places/account/AccountPlace')).AccountPlace }));
const ControlsPage = lazy(async () => ({ default: (await import('./ui/ControlsPage')).ControlsPage }));
const SharedPlace = lazy(async () => ({ default: (await import('./places/shared/SharedPlace')).SharedPlace }));
const place = (name: string, content: ReactNode) => (
    <PlaceBoundary key={name} name={name}>
        {content}
    </PlaceBoundary>
);

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
                    <Route path="/sign-in" element={place('Sign in', <SignInScreen />)} />
                    <Route path="/photo/:studyId?" element={place('Photo', <PhotoPlace />)} />
                    <Route path="/drawer" element={place('Drawer', <DrawerPlace />)} />
                    <Route path="/plan/:studyId?" element={place('Plan', <PlanPlace />)} />
                    <Route path="/desk/:studyId?" element={place('Desk', <DeskPlace />)} />
                    <Route path="/book/:studyId?" element={place('Book', <BookPlace />)} />
                    <Route path="/account" element={place('Account', <AccountPlace />)} />
                    <Route path="/shared/:token" element={place('Shared plan', <SharedPlace />)} />
                    <Route path="/controls" element={place('Controls', <ControlsPage />)} />
                    <Route path="*" element={<Navigate to="/photo" replace />} />
                </Routes>
            </BrowserRouter>
        </QueryClientProvider>
    </StrictMode>,
);
