<?php

declare(strict_types=1);

// slug => [name, meter, slots a beat, drum => signs of one bar (. g x X), bass signs of one bar (R 3 5 > - .), style]
// The first groove of a meter is its default.

return [
    'straight-drive' => ['Straight drive', '4/4', 2, ['hat' => 'XxXxXxXx', 'snare' => '..X...X.', 'kick' => 'X..xX..x'],
        'RRRRRRR>', 'straight'],
    'deck-swing' => ['Deck swing, two-beat bass', '4/4', 2,
        ['ride' => 'x.XxX.Xx', 'snare' => 'g.xgg.xg', 'hat' => '..x...x.', 'kick' => 'x...x...'],
        'R-..5-..', 'swing'],
    'four-walk' => ['Four to the bar, walking bass', '4/4', 2, ['ride' => 'x.Xxx.Xx', 'hat' => '..x...x.', 'kick' => 'g.g.g.g.'],
        'R-3-5->-', 'swing'],
    'shuffle' => ['Shuffle', '4/4', 2, ['ride' => 'XxxxXxxx', 'snare' => '..X...X.', 'kick' => 'x...x..x'], 'R-R-5-5-', 'swing'],
    'sixteenth-funk' => ['Sixteenth funk', '4/4', 4,
        ['hat' => 'XxxxXxxxXxxxXxxx', 'snare' => '....X..g.g..X...', 'kick' => 'X..x..x...x..x..'],
        'R..R..5...R..>..', 'funk'],
    'lantern-bossa' => ['Soft bossa', '4/4', 2, ['shaker' => 'XxxxXxxx', 'rim' => 'x..x..x.', 'kick' => 'x..xx..x'], 'R-.55-.R', 'latin'],
    'upbeat-skank' => ['Off-beat, heavy three', '4/4', 2, ['hat' => '.x.x.x.x', 'rim' => '....X...', 'kick' => '....X...'],
        'R-.3-.5.', 'latin'],
    'slipway-waltz' => ['Waltz', '3/4', 2, ['ride' => 'x.xxx.', 'snare' => '..x.x.', 'kick' => 'X.....'], 'R-..5.', 'straight'],
    'two-four-march' => ['Two-beat', '2/4', 2, ['snare' => '.x.x', 'kick' => 'X.x.'], 'R-5-', 'straight'],
    'five-steps' => ['Five, as three and two', '5/4', 2, ['ride' => 'x.xxx.x.xx', 'snare' => '....x.....', 'kick' => 'X.....X...'],
        'R-..5-R-..', 'straight'],
    'six-eight-roll' => ['Rolling six', '6/8', 3, ['hat' => 'XxxXxx', 'snare' => '...X..', 'kick' => 'X....x'], 'R--5-R', 'straight'],
    'seven-count' => ['Seven, as two, two, three', '7/8', 1, ['hat' => 'XxXxXxx', 'snare' => '..X....', 'kick' => 'X...X..'],
        'R.5.R-.', 'straight'],
    'nine-eight-sway' => ['Swaying nine', '9/8', 3, ['hat' => 'XxxXxxXxx', 'snare' => '...x..x..', 'kick' => 'X........'],
        'R--5--5--', 'straight'],
    'slow-twelve' => ['Slow twelve', '12/8', 3, ['hat' => 'XxxXxxXxxXxx', 'snare' => '...X.....X..', 'kick' => 'X....xX.....'],
        'R--..5R--..>', 'straight'],
];
