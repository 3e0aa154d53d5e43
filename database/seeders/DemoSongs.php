<?php

declare(strict_types=1);

namespace Database\Seeders;

use Gravik\Breakdown\Breakdown;

/** Whole songs of the harbour town's boat-dance band, chorus by chorus. All of it is made up. */
final class DemoSongs
{
    /** @return list<Breakdown> */
    public static function all(): array
    {
        return [self::lanternBarge(), self::pilotStairs(), self::saltedRope(), self::dredgerChain(), self::fogSignal(), self::rosehipTea()];
    }

    /** Five passes with a register plan, an ending of its own for the last, sung words, and bars that only ring. */
    private static function lanternBarge(): Breakdown
    {
        return (new SongSheet('Lantern Barge', 'Dance-deck swing', 'B♭ major', '4/4', 132, ratio: 1.8))
            ->says('Under the voice first, through the solos, and out before the last chord.')
            ->section('a', 'A', '| B♭7 | E♭9 | B♭7 | B♭9 | E♭9 | E°7 | B♭7 | G7 | Cm7 | F13 |', [
                'endings' => [
                    ['times' => [1], 'line' => '| B♭7 G7 | Cm7 F13 |'],
                    ['times' => [], 'passes' => ['5'], 'line' => '| B♭7 F13 | B♭6 |'],
                ],
                'dynamics' => [['bar' => 0, 'level' => 2], ['bar' => 8, 'level' => 3, 'grows' => true]],
                'words' => [['bar' => 3, 'text' => 'low, low water'], ['bar' => 7, 'text' => 'carry the lamp along']],
            ])
            ->pattern('p1', 'plain', '1 (&) 2x (&) 3 (&) 4x &!')
            ->pattern('p2', 'four', '1 2 3 4', 'all-down')
            ->pattern('p3', 'dense', '1 & 2x & (3) & 4x &!')
            ->line('low', 'low', '3-8')
            ->line('high', 'high', '6-12')
            ->pass('voice sings', ['level' => 2], [
                ['section' => 'a', 'bars' => [3, 6, 7], 'texture' => 'rings'],
                ['section' => 'a', 'bars' => [0], 'note' => 'under the voice'],
            ])
            ->pass(
                'voice, brass',
                [],
                [['section' => 'a', 'bars' => [8, 9], 'texture' => 'written', 'note' => 'as written, with the brass']],
            )
            ->pass('clarinet solo', ['role' => 'four', 'pattern' => 'p2', 'level' => 1, 'dynamic' => -1], [
                ['section' => 'a', 'bars' => [4, 5, 6, 7], 'texture' => 'free', 'note' => 'answer the clarinet'],
            ])
            ->pass('brass solo', ['pattern' => 'p3', 'line' => 'high'], [
                ['section' => 'a', 'bars' => [0, 1, 2, 3], 'texture' => 'rings', 'note' => 'let them begin'],
            ])
            ->pass('everybody', ['line' => 'high', 'dynamic' => 1], [['section' => 'a', 'bars' => [11], 'texture' => 'rings']])
            ->joined('keys', ['level' => 0.45, 'register' => [60, 82]], ['passive', 'passive', 'active', 'passive', 'passive'])
            ->joined('horns', ['level' => 0.35, 'register' => [58, 79], 'plays' => 'stabs'], ['out', 'active', 'out', 'out', 'active'])
            ->joined('lead', ['level' => 1, 'plays' => 'blown'])
            ->band('shuffle')
            ->breakdown();
    }

    /** A twelve-bar form in five passes: answers in bars 3 and 4, and a turnaround by rule under the last two bars. */
    private static function pilotStairs(): Breakdown
    {
        return (new SongSheet('Pilot Stairs', 'Jump shuffle', 'A major', '4/4', 144, ratio: 2))
            ->says('The answer belongs to the guitar, the first two bars to whoever asks.')
            ->section('a', 'A', '| A7 | D9 | A7 | A7 | D9 | D9 | A7 | A7 | E7 | D9 | A7 D7 | A7 E7 |', [
                'dynamics' => [['bar' => 0, 'level' => 2], ['bar' => 10, 'level' => 3]],
            ])
            ->pattern('p1', 'shuffle', '1 (&) 2x & 3 (&) 4x &')
            ->pattern('p2', 'long', '1 (2) (3) 4 &')
            ->line('low', 'low', '2-7')
            ->line('high', 'high', '7-12')
            ->figure('answer', 'Answer', ['1=1:5 &=2:8 2=2:5s7 (&) 3=3:6+2:5 (&) 4x (&)'], 'A7')
            ->figure('knock', 'Knock', ['(1) & 2=3:6+4:5 (&) (3) &=3:6+4:5 4x (&)'], 'A7')
            ->pass('voice', ['pattern' => 'p2', 'level' => 2])
            ->pass('voice, answers', [])
            ->pass('harmonica', ['dynamic' => -1])
            ->pass('guitar answers high', ['line' => 'high'])
            ->pass('all', ['line' => 'high', 'dynamic' => 1])
            ->plays('answer', 'a', 2, ['2', '4', '5'])
            ->plays('knock', 'a', 3, ['2', '4', '5'])
            ->band('shuffle')
            ->breakdown(turnaround: 'sixths-down');
    }

    /** Sections with words and rings, a quiet bridge in another key, and two ways to end. */
    private static function saltedRope(): Breakdown
    {
        return (new SongSheet('Salted Rope', 'Ballad', 'G major', '4/4', 72))
            ->says('Where the words stand alone the chord rings under them.')
            ->section('v', 'Verse', '| G | Em7 | Cmaj7 | D7 | G | Em7 | Am7 D7 | G |', [
                'words' => [['bar' => 0, 'text' => 'I tied it at the evening bell'], ['bar' => 4, 'text' => 'and salt was in the knot']],
                'dynamics' => [['bar' => 0, 'level' => 2]],
            ])
            ->section('c', 'Refrain', '| Cmaj7 | D7 | Bm7 | Em7 |', [
                'endings' => [['times' => [1], 'line' => '| Am7 | D7 |'], ['times' => [2], 'line' => '| Am7 D7 | G |']],
                'words' => [['bar' => 0, 'text' => 'hold, rope, hold']],
                'dynamics' => [['bar' => 0, 'level' => 3], ['bar' => 4, 'level' => 4, 'grows' => true]],
            ])
            ->section(
                'b',
                'Bridge',
                '| E♭maj7 | F | E♭maj7 | D7 |',
                ['from' => ['key' => 'B♭ major'], 'dynamics' => [['bar' => 0, 'level' => 1]]],
            )
            ->form(['v', 1], ['c', 1], ['v', 1], ['b', 1], ['c', 2])
            ->pattern('p1', 'picked wide', '1 (&) 2 & (3) & 4 (&)')
            ->line('low', '', '0-5', 'alone')
            ->pass('voice', [], [
                ['section' => 'v', 'bars' => [0, 4], 'texture' => 'rings'],
                ['section' => 'b', 'texture' => 'rings', 'note' => 'one chord a bar'],
            ])
            ->band('straight-drive')
            ->breakdown();
    }

    /** A riff in dropped tuning, at home and a fourth up, with chords that climb above it pass by pass. */
    private static function dredgerChain(): Breakdown
    {
        return (new SongSheet('Dredger Chain', 'Heavy straight eighths', 'D minor', '4/4', 104, tuning: 'drop-d'))
            ->says('The riff stays down where it is heavy; the chords above it make the room.')
            ->section('r', 'Riff', '| Dm | Dm | Gm | Dm |')
            ->section('v', 'Verse', '| Dm | B♭ | C | Dm |')
            ->form(['r', 1], ['v', 1])
            ->pattern('p1', 'eighths', '1! & 2 & 3! & 4 &', 'all-down')
            ->line('low', 'low', '0-5', 'alone')
            ->line('middle', 'middle', '5-10', 'alone')
            ->line('high', 'high', '9-14')
            ->figure('chain', 'Chain', ['1=6:0+5:0 &=6:0 2=6:3+5:3 & 3=6:0 &=6:5+5:5 4=6:3+5:3 &=6:0'], 'Dm')
            ->pass('riff alone', ['line' => 'low'])
            ->pass('voice', ['line' => 'middle', 'dynamic' => -1])
            ->pass('voice, louder', ['line' => 'high', 'dynamic' => 1])
            ->plays('chain', 'r', 0)
            ->plays('chain', 'r', 1)
            ->plays('chain', 'r', 2)
            ->plays('chain', 'r', 3)
            ->band('straight-drive')
            ->breakdown();
    }

    /** Twelve-eight with the thumb on the beats and the fingers between them, two streams of one hand. */
    private static function fogSignal(): Breakdown
    {
        return (new SongSheet('Fog Signal', 'Slow twelve', 'E minor', '12/8', 54))
            ->says('The thumb is the signal, the fingers are the fog. Count the little ones aloud.')
            ->section('a', 'A', '| Em7 | Am7 | Em7 | B7 | Am7 | B7 | Em7 C7 | B7 |', ['dynamics' => [['bar' => 0, 'level' => 2]]])
            ->thumbAndFingers('p1', 'thumb and fingers', '1 2 3 4', '(1) & a (2) & a! (3) & a (4) & a!')
            ->line('low', '', '0-7', 'alone')
            ->pass('voice', [])
            ->pass('second verse', ['dynamic' => 1], [['section' => 'a', 'bars' => [7], 'texture' => 'rings']])
            ->band('slow-twelve')
            ->breakdown();
    }

    /** The acoustic pulse as it is learnt: damped, then long and short, then with the pick-up, pass by pass. */
    private static function rosehipTea(): Breakdown
    {
        return (new SongSheet('Rosehip Tea', 'Acoustic swing pulse', 'G minor', '4/4', 168, ratio: 1.4))
            ->says('Each pass is a stage. Hardly louder than the brushes; 2 and 4 are the dry ones.')
            ->section('a', 'A', '| Gm6 | Gm6 | Cm6 | Cm6 | D7 | D7 | Gm6 | D7 |')
            ->pattern('p1', 'damped', '1x 2x 3x 4x', 'all-down')
            ->pattern('p2', 'long and dry', '1 2. 3 4.', 'all-down')
            ->pattern('p3', 'with the pick-up', '1 2. & 3 4.')
            ->line('shell', '', '2-8', 'shell')
            ->pass('alone, damped', ['pattern' => 'p1'])
            ->pass('alone, long and dry', ['pattern' => 'p2'])
            ->pass('violin', ['pattern' => 'p3', 'dynamic' => -1])
            ->band('four-walk')
            ->gates(['shapes' => 25, 'damped-rhythm' => 20])
            ->breakdown();
    }
}
