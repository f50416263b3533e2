<?php

// In place of the framework's own words, where those are for programmers.
return [
    'date_format' => 'The :attribute field must be a day of the calendar, written as 2026-05-17.',
    'max' => ['file' => 'The :attribute field holds more than :max KiB, the most that is taken.'],
];
