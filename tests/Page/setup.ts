import { learn } from '@/words/say';

// Parts of every stage are tried here: all words are known.
await learn();
