<?php

declare(strict_types=1);

// slug => [name, what it does, count, what is struck on each syllable: semitones above the tonic, several at once; null strikes the grip]

return [
    'pedal-chromatic' => ['Tonic held, a voice falls', 'the tonic stays on top while ♭7 6 ♭6 5 fall under it', '1 2 3 4 | 1 (2) 3 (4)', [
        [10, 12], [9, 12], [8, 12], [7, 12], null, null,
    ]],
    'sixths-down' => ['Sixths down', 'two voices a sixth apart fall by semitones to the fifth', '(1) 2 3 4 | 1 (2) 3 (4)', [
        [4, 12], [3, 11], [2, 10], [0, 9], null,
    ]],
    'thirds-down' => ['Thirds down', 'thirds walk down the scale', '1 & 2 & 3 & 4 & | 1 (2) (3) (4)', [
        [9, 12], [7, 11], [5, 9], [4, 7], [2, 5], [0, 4], [-1, 2], [0, 4], null,
    ]],
    'bass-walk' => ['Bass walks up to V', 'single low notes climb by semitones to the fifth', '1 2 3 4 | 1 (2) 3 (4)', [
        [-12], [-8], [-7], [-6], [-5], null,
    ]],
];
