<?php

declare(strict_types=1);

// slug => [shown name, pitches from the lowest string to the highest]

return [
    'standard' => ['Standard', 'E2,A2,D3,G3,B3,E4'],
    'half-down' => ['Half step down', 'E♭2,A♭2,D♭3,G♭3,B♭3,E♭4'],
    'whole-down' => ['Whole step down', 'D2,G2,C3,F3,A3,D4'],
    'drop-d' => ['Drop D', 'D2,A2,D3,G3,B3,E4'],
    'drop-d-half-down' => ['Drop D, half step down', 'D♭2,A♭2,D♭3,G♭3,B♭3,E♭4'],
    'double-drop-d' => ['Double drop D', 'D2,A2,D3,G3,B3,D4'],
    'open-d' => ['Open D', 'D2,A2,D3,F♯3,A3,D4'],
    'open-e' => ['Open E', 'E2,B2,E3,G♯3,B3,E4'],
    'open-g' => ['Open G', 'D2,G2,D3,G3,B3,D4'],
    'open-a' => ['Open A', 'E2,A2,E3,A3,C♯4,E4'],
    'dadgad' => ['D A D G A D', 'D2,A2,D3,G3,A3,D4'],
    'baritone-b' => ['Baritone B', 'B1,E2,A2,D3,F♯3,B3'],
    'seven-string' => ['Seven strings', 'B1,E2,A2,D3,G3,B3,E4'],
    'eight-string' => ['Eight strings', 'F♯1,B1,E2,A2,D3,G3,B3,E4'],
    'tenor' => ['Tenor', 'C3,G3,D4,A4'],
];
