import { FORM } from '@/api/heard';
import { whosePage } from '@/api/client';
import { LastAnswers } from './lastAnswers';
import { BrowserCopies } from './store';

/** The answers kept on this device. */
export const lastAnswers = new LastAnswers(new BrowserCopies(), FORM, whosePage);
