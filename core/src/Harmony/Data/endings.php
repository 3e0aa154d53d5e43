<?php

declare(strict_types=1);

// what follows the root => nothing; the commonest first. Offered for what cannot be read, and tried when a grip is named.
return [
    '', 'm', '7', 'm7', 'maj7', '6', 'm6', '9', 'm9', 'dim7', 'dim', 'aug', 'sus4', 'sus2', '7sus4', '13', '6/9', 'maj9',
    'm7b5', '7b9', '7#9', '7#11', '7b5', '7#5', '7alt', 'add9', 'madd9', 'm11', '11', 'mMaj7', '5', 'no3', '9sus4', '13sus4', '13b9', 'maj7#11',
];
