<?php

declare(strict_types=1);

// slug => [name, what it does, mode => [line that ends on V and leads back, line that ends on I]], in numerals.

return [
    'two-five' => ['ii–V', 'a fifth at a time, back to the top', [
        'major' => ['| I6 VI7 | ii7 V7 |', '| ii7 V7 | I6 |'],
        'minor' => ['| i6 VI7 | iiø7 V7 |', '| iiø7 V7 | i6 |'],
    ]],
    'dim-passing' => ['Passing diminished', 'the bass climbs by semitones from I to ii', [
        'major' => ['| I6 ♯I°7 | ii7 V7 |', '| IV6 ♯IV°7 | I6 |'],
        'minor' => ['| i6 ♯III°7 | iv6 V7 |', '| iv6 ♯IV°7 | i6 |'],
    ]],
    'chromatic-dominants' => ['Falling dominants', 'sevenths fall by semitones; one note can stay on top of them', [
        'major' => ['| I7 VII7 | ♭VII7 VI7 | ii7 | V7 |', '| I7 VII7 | ♭VII7 VI7 | ii7 V7 | I6 |'],
        'minor' => ['| i7 ♯VII7 | VII7 ♯VI7 | iiø7 | V7 |', '| i7 ♯VII7 | VII7 ♯VI7 | iiø7 V7 | i6 |'],
    ]],
    'tritones' => ['Tritones down', 'every dominant a semitone above the next', [
        'major' => ['| I7 ♭III7 | II7 ♭II7 |', '| II7 ♭II7 | I6 |'],
        'minor' => ['| i6 III7 | II7 ♭II7 |', '| II7 ♭II7 | i6 |'],
    ]],
    'plain' => ['IV and back', 'the plainest there is', [
        'major' => ['| I7 IV7 | I7 V7 |', '| I7 IV7 | I7 |'],
        'minor' => ['| i7 iv7 | i7 V7 |', '| i7 iv7 | i7 |'],
    ]],
    'andalusian' => ['Steps down to V', 'the bass falls by steps from I to V', [
        'major' => ['| I V↓3 | vi V7 |', '| IV iii7 | ii7 V7 | I6 |'],
        'minor' => ['| i VII | VI V7 |', '| i VII | VI V7 | i |'],
    ]],
];
