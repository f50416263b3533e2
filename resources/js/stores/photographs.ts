import { ref } from 'vue';

/** Grows with every photograph restored elsewhere on the page: whoever shows photographs loads them again. */
export const restoredPhotographs = ref(0);
