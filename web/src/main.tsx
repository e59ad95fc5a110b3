import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { router } from './app/router.tsx';
import { Announcer } from './ui/announce.tsx';
import { keepFocus } from './ui/keep-focus.ts';
import { followTyping } from './ui/typing.ts';
import './style.css';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no place for the application');
// A file that is dropped beside its place is not opened instead of the application.
for (const event of ['dragover', 'drop'] as const)
  addEventListener(event, (dropped) => dropped.preventDefault());
keepFocus();
followTyping();
createRoot(root).render(
  <StrictMode>
    <RouterProvider router={router} />
    <Announcer />
  </StrictMode>,
);
