<?php

declare(strict_types=1);

// slug => [name, mode => [[section, line in numerals], …]]

return [
    'twelve' => ['12 bars', [
        'major' => [['A', '| I7 | I7 | I7 | I7 | IV7 | IV7 | I7 | I7 | V7 | IV7 | I7 | V7 |']],
        'minor' => [['A', '| i7 | i7 | i7 | i7 | iv7 | iv7 | i7 | i7 | VI7 | V7 | i7 | V7 |']],
    ]],
    'twelve-quick' => ['12 bars, quick change', [
        'major' => [['A', '| I7 | IV7 | I7 | I7 | IV7 | IV7 | I7 | I7 | V7 | IV7 | I7 | V7 |']],
        'minor' => [['A', '| i7 | iv7 | i7 | i7 | iv7 | iv7 | i7 | i7 | VI7 | V7 | i7 | V7 |']],
    ]],
    'eight' => ['8 bars', [
        'major' => [['A', '| I7 | V7 | IV7 | IV7 | I7 | V7 | I7 | V7 |']],
        'minor' => [['A', '| i7 | V7 | iv7 | iv7 | i7 | V7 | i7 | V7 |']],
    ]],
    'sixteen' => ['16 bars', [
        'major' => [['A', '| I7 | I7 | I7 | I7 | I7 | I7 | I7 | I7 | IV7 | IV7 | I7 | I7 | V7 | IV7 | I7 | V7 |']],
        'minor' => [['A', '| i7 | i7 | i7 | i7 | i7 | i7 | i7 | i7 | iv7 | iv7 | i7 | i7 | VI7 | V7 | i7 | V7 |']],
    ]],
    'aaba' => ['32 bars, A A B A', [
        'major' => [
            ['A1', '| I6 vi7 | ii7 V7 | I6 vi7 | ii7 V7 | I6 I7 | IV6 iv6 | I6 V7 | I6 V7 |'],
            ['A2', '| I6 vi7 | ii7 V7 | I6 vi7 | ii7 V7 | I6 I7 | IV6 iv6 | I6 V7 | I6 |'],
            ['B', '| III7 | III7 | VI7 | VI7 | II7 | II7 | V7 | V7 |'],
            ['A3', '| I6 vi7 | ii7 V7 | I6 vi7 | ii7 V7 | I6 I7 | IV6 iv6 | I6 V7 | I6 V7 |'],
        ],
        'minor' => [
            ['A1', '| i6 | V7 | i6 | V7 | iv6 | i6 | VI7 V7 | i6 V7 |'],
            ['A2', '| i6 | V7 | i6 | V7 | iv6 | i6 | VI7 V7 | i6 |'],
            ['B', '| iv7 | VII7 | III6 | III6 | iiø7 | V7 | i6 | V7 |'],
            ['A3', '| i6 | V7 | i6 | V7 | iv6 | i6 | VI7 V7 | i6 V7 |'],
        ],
    ]],
    'vamp' => ['Vamp of two chords', [
        'major' => [['A', '| ii7 | V7 | ii7 | V7 |']],
        'minor' => [['A', '| i7 | iv7 | i7 | iv7 |']],
    ]],
];
