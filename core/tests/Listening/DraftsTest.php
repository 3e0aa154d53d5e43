<?php

declare(strict_types=1);

use Gravik\Breakdown\Beginning;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Marked;
use Gravik\Chart\FormEntry;
use Gravik\Chart\Section;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\TakeFile;
use Gravik\Listening\Drafts\Drafter;
use Gravik\Listening\Drafts\HeardPart;
use Gravik\Listening\Drafts\Internal\Block;
use Gravik\Listening\Drafts\Internal\FormFinder;
use Gravik\Listening\Failure\TooFewBarsForDraft;
use Gravik\Listening\Feel\FeelMeter;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\PlayedOnset;
use Gravik\Neck\Company;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Simulation\Material\MaterialTake;
use Gravik\Simulation\Material\Place;
use Gravik\Simulation\Material\Way;
use Gravik\Simulation\SimulatedPlayer;
use Gravik\Strokes\Written\CountLine;
use Gravik\Tests\Support\Examples;
use Gravik\Time\Meter;
use Gravik\Time\Tempo;

/** @return list<string> "B 4+4": section, first bar and length of each block */
function formOf(string $bars): array
{
    $held = array_map(static fn (string $bar): array => explode(' ', $bar), explode('|', $bars));

    return array_map(
        static fn (Block $block): string => sprintf('%s %d+%d', chr(ord('A') + $block->section), $block->from, $block->bars),
        (new FormFinder())->find($held),
    );
}

it('finds the form that takes the least to write down', function (string $bars, array $blocks): void {
    expect(formOf($bars))->toBe($blocks);
})->with([
    'four bars twice' => ['Dm|A|Gm|A|Dm|A|Gm|A', ['A 0+4', 'A 4+4']],
    'a verse twice, then something else, then the verse' => [
        'C|Am|F|G|C|Am|F|G|F|Fm|C|C|C|Am|F|G',
        ['A 0+4', 'A 4+4', 'B 8+4', 'A 12+4'],
    ],
    'twelve bars twice' => [
        'A|D|A|A|D|D|A|A|E|D|A|E|A|D|A|A|D|D|A|A|E|D|A|E',
        ['A 0+12', 'A 12+12'],
    ],
    'two bars before it' => ['G|G|C|Am|F|E|C|Am|F|E|C|Am|F|E', ['A 0+2', 'B 2+4', 'B 6+4', 'B 10+4']],
    'one bar that was misheard' => ['Dm|A|Gm|A|Dm|A|B♭|A|Dm|A|Gm|A', ['A 0+4', 'A 4+4', 'A 8+4']],
    'nothing comes again' => ['C|F|G|Am', ['A 0+4']],
]);

/** What a player makes of a song, rendered by strings that the ear was not set by, heard and drafted. */
function draftedFrom(Breakdown $song): Breakdown
{
    $timeline = (new Performer())->perform($song);
    $strokes = (new SimulatedPlayer(0, 0, 6, 0.0, 3))->play($timeline, $timeline->bars());
    $file = tempnam(sys_get_temp_dir(), 'draft');
    file_put_contents($file, (new MaterialTake(Way::Driven, Place::Phone, 21, 4.0))->wav($strokes, $song->start->tempo->beatSeconds()));
    $take = TakeFile::read($file, 'take.wav');
    unlink($file);
    $reading = (new FeelMeter())->measure($take->sure(), $song->start->meter);
    $notes = $take->hearing?->notes->notes() ?? throw new LogicException('A recording has notes.');

    return (new Drafter())->draft($reading, $notes, Beginning::blank(), Company::Alone)->breakdown;
}

it('drafts a song from its recording by phone that plays as the original', function (): void {
    $song = Examples::breakdown([
        'tempo' => 104,
        'feel' => Examples::swing(2.0),
        'key' => 'G major',
    ], 'x.xcx.xx')->with(
        sections: [new Section('s1', 'A', '| G | Em | Am7 | D7 |'), new Section('s2', 'B', '| C | Cm | G | D7 |')],
        form: [new FormEntry('s1', 2), new FormEntry('s2')],
    );
    $draft = draftedFrom($song);
    $line = array_merge([], ...array_map(
        static fn (FormEntry $entry): array => array_fill(0, $entry->times, $entry->section),
        $draft->form,
    ));
    $starts = static fn (Breakdown $played): array => array_map(
        static fn (PlayedStroke $stroke): array => [$stroke->bar, round($stroke->t, 1), $stroke->stroke->isDead()],
        (new Performer())->perform($played)->strokes,
    );

    expect($draft->start->tempo->bpm)->toEqualWithDelta(104, 1)->and($draft->start->feel->ratio)->toEqualWithDelta(2.0, 0.2)
        ->and($draft->start->key->text())->toBe('G major')
        ->and(array_map(static fn (Section $section): string => $section->line, $draft->sections))
        ->toBe(['| G | Em | Am7 | D7 |', '| C | Cm | G | D7 |'])
        ->and($line)->toBe(['s1', 's1', 's2'])
        ->and(preg_replace('/[!.]/', '', CountLine::write($draft->patterns[0]->pattern)))->toBe('1 (&) 2 &x 3 (&) 4 &')
        ->and(array_column($starts($draft), 0))->toBe(array_column($starts($song), 0))
        ->and(array_column($starts($draft), 2))->toBe(array_column($starts($song), 2))
        ->and((new BreakdownJson())->write($draft))->toBeArray();
    $apart = array_map(
        static fn (array $one, array $other): float => abs($one[1] - $other[1]),
        $starts($draft),
        $starts($song),
    );
    expect(max($apart))->toBeLessThan(0.35);
});

it('marks what it is not sure of, and says of each thing how sure it is', function (): void {
    $strokes = array_map(static fn (int $number): PlayedOnset => new PlayedOnset(0.5 * $number), range(0, 31));
    $notes = array_merge([], ...array_map(static fn (int $bar): array => array_map(
        static fn (int $midi): array => ['t' => 2.0 * $bar, 'seconds' => 2.0, 'midi' => $midi],
        $bar % 2 === 0 ? [53, 57, 60, 64] : [48, 52, 55, 60],
    ), range(0, 7)));
    $draft = (new Drafter())->draft(
        (new FeelMeter())->measure($strokes, Meter::parse('4/4')),
        NotesHeard::sounding($notes),
        Beginning::blank(),
        Company::WithBass,
    );

    expect($draft->breakdown->marks)->not->toBeEmpty()->and($draft->breakdown->marks[0]->on->what)->toBe(Marked::Chord)
        ->and($draft->breakdown->marks[0]->other)->not->toBe('')
        ->and(array_map(static fn (HeardPart $part): string => $part->what, $draft->parts))
        ->toBe(['Form', 'Tempo', 'Feel', 'Strokes', 'Key', 'Chords', 'Grips'])
        ->and(min(array_column($draft->parts, 'sure')))->toBeGreaterThanOrEqual(0.0)
        ->and(max(array_column($draft->parts, 'sure')))->toBeLessThanOrEqual(1.0);
});

it('says where a recording is hardly comping: no beat, or no notes', function (float $scatter, array $levels, array $words): void {
    mt_srand(6);
    $strokes = array_map(
        static fn (int $number): PlayedOnset => new PlayedOnset(0.5 * $number + $scatter * (mt_rand() / mt_getrandmax() - 0.5)),
        range(0, 31),
    );
    usort($strokes, static fn (PlayedOnset $a, PlayedOnset $b): int => $a->t <=> $b->t);
    $draft = (new Drafter())->draft(
        (new FeelMeter())->measure($strokes, Meter::parse('4/4'), new Tempo(120), 0.0, 1),
        NotesHeard::of(array_fill(0, 90, $levels)),
        Beginning::blank(),
        Company::Alone,
    );

    expect(count($draft->remarks))->toBe(count($words));
    foreach ($words as $number => $said) {
        expect($draft->remarks[$number])->toContain($said);
    }
})->with([
    'comping' => [0.02, [...array_fill(0, 44, 0.02), 1.0, 0.8, 0.9, 0.7, 0.6], []],
    'drums' => [0.02, array_fill(0, 49, 0.5), ['drums']],
    'speech' => [0.4, [...array_fill(0, 44, 0.02), 1.0, 0.8, 0.9, 0.7, 0.6], ['speech']],
]);

it('takes the band into a meter of three', function (): void {
    $strokes = array_map(static fn (int $number): PlayedOnset => new PlayedOnset(0.4 * $number), range(0, 23));
    $notes = NotesHeard::sounding([['t' => 0.0, 'seconds' => 10.0, 'midi' => 48], ['t' => 0.0, 'seconds' => 10.0, 'midi' => 52]]);
    $draft = (new Drafter())->draft(
        (new FeelMeter())->measure($strokes, Meter::parse('3/4')),
        $notes,
        Beginning::blank(),
        Company::Alone,
    );

    expect($draft->breakdown->start->meter->text())->toBe('3/4')->and($draft->breakdown->sections[0]->line)->toStartWith('| C');
});

it('drafts nothing from a single bar', function (): void {
    $strokes = array_map(static fn (int $number): PlayedOnset => new PlayedOnset(0.25 * $number), range(0, 7));
    (new Drafter())->draft(
        (new FeelMeter())->measure($strokes, Meter::parse('4/4')),
        NotesHeard::sounding([]),
        Beginning::blank(),
        Company::Alone,
    );
})->throws(TooFewBarsForDraft::class);
