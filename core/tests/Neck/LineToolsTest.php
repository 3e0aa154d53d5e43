<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\Retuner;
use Gravik\Breakdown\Toolbox;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\Enricher;
use Gravik\Neck\Finder\Enrichment;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\Grip\FingerMoves;
use Gravik\Neck\Grip\GripNamer;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Line\TuningConverter;
use Gravik\Neck\Melody\HarmonisedNote;
use Gravik\Neck\Melody\Harmoniser;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Melody\RiffPlanner;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;
use Gravik\Neck\StatedTuning;
use Gravik\Neck\Tuning;
use Gravik\Pitch\Pitch;
use Gravik\Tests\Support\Examples;

function standardNeck(): Neck
{
    return new Neck(Tuning::standard());
}

it('adds every scale note that the hand reaches on the two highest strings', function (): void {
    $finder = new VoicingFinder(standardNeck());
    $grip = $finder->voicing(ChordSymbol::parse('C'), [null, 3, 2, 0, 1, 0]) ?? throw new LogicException('no grip');
    $added = array_map(
        static fn (Enrichment $each): string => "{$each->string}:{$each->fret} {$each->degree}",
        (new Enricher(standardNeck(), $finder, Company::Alone))->of($grip, Key::parse('C major')),
    );

    // The open grip has 3 and R there; the hand reaches 11 and 5 on the first string, 7 and 9 on the second.
    expect($added)->toContain('1:1 11', '1:3 5', '2:0 7', '2:3 9')
        ->and((new Enricher(standardNeck(), $finder, Company::Shell))->of($grip, Key::parse('C major')))->toBe([]);
});

it('harmonises a melody with the nearest note below, chord tones first, and holds what can be held', function (): void {
    $c = ChordSymbol::parse('C');
    $line = (new Harmoniser(standardNeck(), Key::parse('C major')))->harmonise([[67, $c], [69, $c], [71, $c], [72, $c]]);
    $lower = array_map(static fn (HarmonisedNote $note): string => $note->degrees()[0], $line);

    expect($lower)->toBe(['3', '3', '5', '5'])
        ->and(array_map(static fn (HarmonisedNote $note): bool => $note->held, $line))->toBe([false, true, false, true])
        ->and(array_map(static fn (HarmonisedNote $note): bool => $note->shared, $line))->toBe([true, false, true, false]);
});

it('harmonises with notes of the chord or the key, a third to a sixth below, on two strings of the neck', function (string $key, array $chords, string $melody): void {
    $open = standardNeck()->openMidi();
    $notes = [];
    $harmoniser = new Harmoniser(standardNeck(), Key::parse($key));
    foreach ($harmoniser->parse($melody) as $bar => $inBar) {
        foreach ($inBar as $midi) {
            $notes[] = [$midi, ChordSymbol::parse($chords[$bar])];
        }
    }
    $scale = array_map(static fn (int $step): int => (Key::parse($key)->tonic->pitchClass() + $step) % 12, Key::parse($key)->mode->steps());
    foreach ($harmoniser->harmonise($notes) as $place => $note) {
        expect($note->midi[1])->toBe($notes[$place][0])
            ->and($note->midi[1] - $note->midi[0])->toBeGreaterThanOrEqual(3)->toBeLessThanOrEqual(9)
            ->and($note->chordTone || in_array($note->midi[0] % 12, $scale, true))->toBeTrue();
        foreach ([0, 1] as $voice) {
            expect($open[6 - $note->strings[$voice]] + $note->frets[$voice])->toBe($note->midi[$voice]);
        }
    }
})->with([
    ['G major', ['G', 'C'], 'B4 D5 E5 D5 | E5 G5 E5 C5'],
    ['D minor', ['Dm6', 'B♭7', 'A7'], 'F4 A4 D5 | D5 F5 A♭4 | G5 E5 C♯5'],
]);

it('reads a melody by names and by places on the neck alike', function (): void {
    $harmoniser = new Harmoniser(standardNeck(), Key::parse('C major'));
    expect($harmoniser->parse('E4 G4 | A4'))->toBe([[64, 67], [69]])->and($harmoniser->parse('1:0 1:3 | 2:10'))->toBe([[64, 67], [69]]);
});

it('finds a figure in other registers, and its way to IV and V', function (): void {
    $planner = new RiffPlanner(standardNeck());
    $text = static fn (array $notes): string => implode(
        ' ',
        array_map(static fn (RiffNote $note): string => "{$note->string}:{$note->fret}", $notes),
    );
    $riff = $planner->parse('6:3 6:3 5:5 5:3');
    $places = [];
    foreach ($planner->places($riff) as $place) {
        $places[$place->where] = $place;
        foreach ([[$place->one, $place->four, 5], [$place->four, $place->five, 2]] as [$from, $to, $up]) {
            foreach ($from as $index => $note) {
                expect(($to[$index]->midi - $note->midi - $up) % 12)->toBe(0);
            }
        }
        expect(array_map(
            static fn (RiffNote $note, RiffNote $first): int => ($note->midi - $first->midi) % 12,
            $place->one,
            $riff,
        ))->each->toBe(0);
    }

    // One string over is a fourth: the IV costs no travel, and the V lies two frets above it.
    expect($text($places['as typed']->four))->toBe('5:3 5:3 4:5 4:3')
        ->and($text($places['as typed']->five))->toBe('5:5 5:5 4:7 4:5')
        ->and($places['as typed']->way)->toBe('the same frets one string higher')
        ->and(array_keys($places))->toContain('an octave up the neck');
});

it('does not take a string over for a fourth where the strings lie a third apart', function (): void {
    $planner = new RiffPlanner(standardNeck());
    expect($planner->places($planner->parse('4:5 3:5'))[0]->way)->not->toBe('the same frets one string higher');
});

it('reads spoken retunings', function (string $spoken, string $pitches): void {
    expect(implode(' ', array_map(static fn (Pitch $pitch): string => $pitch->text(), StatedTuning::parse($spoken)->pitches)))
        ->toBe($pitches);
})->with([
    ['whole step down', 'D2 G2 C3 F3 A3 D4'],
    ['half step down', 'E♭2 A♭2 D♭3 G♭3 B♭3 E♭4'],
    ['Drop low string', 'D2 A2 D3 G3 B3 E4'],
    ['open major on D', 'D2 A2 D3 F♯3 A3 D4'],
    ['open G', 'D2 G2 D3 G3 B3 D4'],
    ['open major on C', 'C2 G2 C3 E3 G3 C4'],
    ['E2,A2,D3,G3,B3,E4', 'E2 A2 D3 G3 B3 E4'],
]);

it('points at the strings of a list that contradict what was said', function (): void {
    expect(StatedTuning::contradictions(StatedTuning::parse('whole step down'), Tuning::parse('D2,G2,C3,F♯3,A3,D4')))
        ->toBe([['string' => 3, 'typed' => 'F♯3', 'stated' => 'F3']])
        ->and(StatedTuning::contradictions(StatedTuning::parse('drop d'), StatedTuning::parse('drop low string')))->toBe([]);
});

it('refuses words, figures and melodies that are none', function (Closure $typed): void {
    expect($typed)->toThrow(NeckException::class);
})->with([
    [fn () => StatedTuning::parse('sideways')],
    [fn () => (new RiffPlanner(standardNeck()))->parse('6:3 9:1')],
    [fn () => (new RiffPlanner(standardNeck()))->parse('')],
    [fn () => (new Harmoniser(standardNeck(), Key::parse('C major')))->parse('E4 H4')],
    [fn () => (new Harmoniser(standardNeck(), Key::parse('C major')))->parse('  ')],
    [fn () => (new Harmoniser(standardNeck(), Key::parse('C major')))->parse('9:1')],
    [fn () => (new Harmoniser(standardNeck(), Key::parse('C major')))->harmonise([[40, ChordSymbol::parse('C')]])],
]);

it('carries a grip to another tuning note for note, the easiest way there is', function (string $symbol, array $frets): void {
    $open = new Neck(Tuning::parse('open-g'));
    $finder = new VoicingFinder($open, company: Company::WithBass);
    $grip = (new VoicingFinder(standardNeck(), company: Company::WithBass))->voicing(ChordSymbol::parse($symbol), $frets)
        ?? throw new LogicException('no grip');
    $notes = array_values(array_filter($grip->midi, static fn (?int $midi): bool => $midi !== null));
    $there = (new TuningConverter($open, $finder))->sameNotes($grip) ?? throw new LogicException('no hand holds it');
    $back = (new TuningConverter(standardNeck(), new VoicingFinder(standardNeck(), company: Company::WithBass)))->sameNotes($there);
    $sorted = static function (?Voicing $voicing): array {
        $midi = array_values(array_filter($voicing->midi ?? [], static fn (?int $note): bool => $note !== null));
        sort($midi);

        return $midi;
    };
    sort($notes);

    expect($sorted($there))->toBe($notes)->and($sorted($back))->toBe($notes);
})->with([['A7', [5, 7, 5, null, null, null]], ['D7', [null, 5, 4, 5, null, null]], ['E5', [null, 7, 9, null, null, null]]]);

it('takes a whole line to an open tuning and back, chord by chord', function (): void {
    $line = Examples::breakdown([
        'key' => 'A major',
        'company' => 'with-bass',
        'sections' => [['name' => 'A', 'line' => '| A7 | D7 | E7 |']],
    ]);
    $there = (new Retuner())->retune($line, Tuning::parse('open-a'));
    $back = (new Retuner())->retune($there, Tuning::standard());
    $named = static fn (Voicing $grip): array => [$grip->chord->text(), min(array_filter($grip->midi)) >= 40];
    $symbols = static fn (Breakdown $breakdown): array => array_map($named, Toolbox::of($breakdown)->voiced()->path->voicings);

    expect($there->lines[0]->pins)->toHaveCount(3)->and($back->lines[0]->pins)->toHaveCount(3)
        ->and($symbols($there))->toBe($symbols($line))->and($symbols($back))->toBe($symbols($line))
        ->and(Toolbox::of($there)->voiced()->loose)->toBe([]);
});

it('adds only what keeps the bass and the reach of the hand', function (): void {
    $finder = new VoicingFinder(standardNeck());
    $grip = $finder->voicing(ChordSymbol::parse('Em'), [null, null, 2, 4, 5, 3]) ?? throw new LogicException('no grip');
    $enriched = (new Enricher(standardNeck(), $finder, Company::Alone, new HandProfile('small')))->of($grip, Key::parse('E minor'));

    foreach ($enriched as $each) {
        expect($each->voicing->bassMidi())->toBe($grip->bassMidi())
            ->and($each->voicing->spanMm)->toBeLessThanOrEqual((new HandProfile('small'))->reachMm());
    }
    expect($enriched)->not->toBe([]);
});

it('says that no finger moves only where every finger that presses was there before', function (array $from, array $to, bool $none): void {
    $finder = new VoicingFinder(standardNeck());
    $am = static fn (array $frets): Voicing => $finder->voicing(ChordSymbol::parse('Am'), $frets) ?? throw new LogicException('no grip');

    expect(FingerMoves::between($am($from), $am($to))->none)->toBe($none);
})->with([
    'the bass beside' => [[null, 0, 2, 2, 1, 0], [0, 0, 2, 2, 1, 0], true],
    'a finger lifted' => [[null, 0, 2, 2, 1, 0], [null, 0, 2, 2, 1, 3], false],
]);

it('names a grip by what its strings sound, pressed or open', function (array $frets, string $name): void {
    expect((new GripNamer(standardNeck()))->names($frets)[0]->chord->text())->toBe($name);
})->with([[[null, 3, 2, 0, 1, 0], 'C'], [[3, 5, 5, 4, 3, 3], 'G'], [[null, 0, 2, 2, 1, 0], 'Am'], [[8, 10, 10, 8, 8, 8], 'Cm']]);
