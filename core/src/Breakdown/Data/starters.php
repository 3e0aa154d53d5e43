<?php

declare(strict_types=1);

// slug => [word, pattern of the library, groove, tempo]; meter, feel and school are the pattern's

return [
    'straight' => ['Straight', 'straight-drive', 'straight-drive', 120],
    'shuffle' => ['Shuffle', 'shuffle', 'shuffle', 116],
    'slow-twelve' => ['Slow twelve', 'slow-twelve', 'slow-twelve', 58],
    'swing' => ['Swing', 'four-to-the-bar', 'four-walk', 138],
    'ballad' => ['Ballad', 'half-time-ring', 'straight-drive', 72],
    'bossa' => ['Bossa', 'bossa', 'lantern-bossa', 128],
    'funk' => ['Funk', 'sixteenth-chucks', 'sixteenth-funk', 96],
    'upbeat' => ['Upbeat', 'skank', 'upbeat-skank', 76],
    'country' => ['Two-beat', 'boom-chuck-up', 'deck-swing', 112],
    'waltz' => ['Waltz', 'waltz', 'slipway-waltz', 132],
];
