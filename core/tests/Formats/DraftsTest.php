<?php

declare(strict_types=1);

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Change\FigureKeeper;
use Gravik\Breakdown\Change\FigurePlacer;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\RelativeTo;
use Gravik\Breakdown\TypedFigure;
use Gravik\Chart\Place;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\ChordProFile;
use Gravik\Formats\DraftFile;
use Gravik\Formats\MidiFile;
use Gravik\Formats\MusicXmlFile;
use Gravik\Formats\TabText;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Performance\Performer;
use Gravik\Performance\PlayedStroke;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Pattern;
use Gravik\Strokes\Stream;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Told;
use Gravik\Time\Meter;

const LINE = '| Dm7 | G7 | C6 | A7 | Dm7 | G7 | C6 | Dm7 |';

function ofLibrary(LibraryPattern $entry): Breakdown
{
    $meter = $entry->pattern->meter;
    $song = Examples::breakdown(
        ['meter' => $meter->text(), 'sections' => [['name' => 'A', 'line' => LINE]], 'feel' => Examples::swing(1.6)],
        str_repeat('x', $meter->beats()),
        1,
    );

    return $song->withPattern($song->patterns[0]->with($entry->pattern, $entry->school));
}

it('gives every pattern of the library back from a score: strokes, directions, muting, grips, chords, swing', function (LibraryPattern $entry): void {
    $song = ofLibrary($entry);
    $draft = DraftFile::read((new MusicXmlFile())->write($song, (new Performer())->perform($song)))->breakdown;

    expect(Told::strokes($draft))->toBe(Told::strokes($song))->and(Told::chords($draft))->toBe(Told::chords($song))
        ->and($draft->start->tempo->bpm)->toBe($song->start->tempo->bpm)->and($draft->start->key->text())->toBe('D minor')
        ->and($draft->start->feel->ratio)->toEqualWithDelta(1.6, 0.011);
})->with(fn (): array => array_map(static fn (LibraryPattern $entry): array => [$entry], PatternLibrary::all()));

it('gives the demo songs back from a score and from tab', function (int $number): void {
    $song = [...Database\Seeders\DemoBreakdowns::all(), ...Database\Seeders\DemoSongs::all()][$number];
    $timeline = (new Performer())->perform($song);
    $score = DraftFile::read((new MusicXmlFile())->write($song, $timeline));
    $tab = DraftFile::read((new TabText())->write($song, $timeline));

    expect(Told::strokes($score->breakdown))->toBe(Told::strokes($song))->and(Told::chords($score->breakdown))->toBe(Told::chords($song))
        ->and(Told::strokes($tab->breakdown, false))->toBe(Told::strokes($song, false))
        ->and(Told::chords($tab->breakdown))->toBe(Told::chords($song))
        ->and($score->unread)->not->toBe([])
        ->and($tab->unread)->toBe([])->and(implode(' ', $score->unread))->not->toContain('slides, hammers');
})->with(range(0, 11));

it('writes how a note is come to and left, two lines at one time, and reads them again', function (string $typed, array $cells): void {
    $meter = Meter::parse('4/4');
    [$chord, $key] = [ChordSymbol::parse('Dm7'), Key::parse('D minor')];
    $figure = TypedFigure::read('f1', 'spray', explode(' / ', $typed), $meter, $chord, $key, RelativeTo::Chord);
    $song = (new FigureKeeper())->keep(Examples::breakdown(['sections' => [['name' => 'A', 'line' => '| Dm7 |']]]), $figure);
    $song = (new FigurePlacer())->place($song, new PlacedFigure($figure, new Place($song->sections[0]->id, null, 0, 0)));
    $timeline = (new Performer())->perform($song);
    $text = (new TabText())->write($song, $timeline);
    [$tab, $score] = [DraftFile::read($text), DraftFile::read((new MusicXmlFile())->write($song, $timeline))];
    $first = array_filter(Told::strokes($song), static fn (array $stroke): bool => $stroke[0] === 0);
    $notes = explode(' ', implode(' ', array_column($first, 3)));
    sort($notes);

    foreach ($cells as $cell) {
        expect($text)->toMatch($cell);
    }
    expect(Told::strokes($tab->breakdown)[0][3])->toBe(implode(' ', $notes))->and($tab->unread)->toBe([])
        ->and(array_slice(Told::strokes($score->breakdown), 0, count($first)))->toEqual(array_values($first))
        ->and(implode(' ', $score->unread))->not->toContain('hammers');
})->with([
    'hammered and slid' => ['1=2:5h6+3:4s5 2 3 4', ['/\|0h1-/', '/\|\ds\d-/']],
    'bent and held' => ['1=3:7b9 2 3 4', ['/\|\db\d-/']],
    'struck bent' => ['1=3:7B9 2 3 4', ['/\|\dB\d-/']],
    'struck bent and let down' => ['1=3:7r9 2 3 4', []],
    'plain' => ['1=2:6 2 3 4', []],
    'a line over a bass' => ['1=2:6 2 3 4 / 1=5:5 2 3 4', []],
]);

it('gives every ornament of a stroke back from a score and from tab', function (OrnamentKind $kind): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => LINE]]], 'x...x...');
    $strokes = $song->patterns[0]->pattern->strokes();
    // From one below, where a fretted string has a fret; how far a note slides down to nowhere only tab tells.
    $frets = $kind === OrnamentKind::SlideOut ? 3 : max(-1, (int) $kind->usualFrets());
    $ornamented = [$strokes[0], $strokes[1]->ornamented(new Ornament($kind, $frets))];
    $pattern = new Pattern(Meter::parse('4/4'), 3840, [new Stream('strum', $ornamented)]);
    $song = $song->withPattern($song->patterns[0]->with($pattern));
    $timeline = (new Performer())->perform($song);

    expect(Told::strokes(DraftFile::read((new MusicXmlFile())->write($song, $timeline))->breakdown))->toBe(Told::strokes($song))
        ->and(Told::strokes(DraftFile::read((new TabText())->write($song, $timeline))->breakdown))->toBe(Told::strokes($song));
})->with(array_values(array_filter(OrnamentKind::cases(), static fn (OrnamentKind $kind): bool => $kind !== OrnamentKind::Drag)));

it('reads chords, key, tempo, meter and grips of a chord sheet, ours and others’', function (string $sheet, array $chords, array $unread): void {
    $draft = DraftFile::read($sheet);

    expect(array_column(Told::chords($draft->breakdown), 1))->toBe($chords)->and($draft->unread)->toBe($unread);
})->with([
    'a grid' => ["{title: Slack Water}\n{start_of_grid}\n| Dm7 . G7 . | C . . . |\n| % | Am/C . . . |\n{end_of_grid}", ['Dm7', 'G7', 'C', 'C', 'Am/C'], []],
    'over words' => ["{t:Slack Water}\n{soc}\n[Dm7]Low the [G7]lamp is [Cmaj7]hung\n{eoc}\n[*soft] and [Am]again", ['Dm7', 'G7', 'Cmaj7', 'Am'], []],
    'what has no name' => ["{title: X}\n{new_song_of: y}\n[Dm7]La [Hokum]la", ['Dm7'], ['{new_song_of} in line 2', 'the chord “Hokum” in line 3']],
    'a repeated bar with signs' => ["{title: X}\n{sog}\n|: Dm . | G7 . :|\n{eog}", ['Dm', 'G7'], []],
]);

it('takes key, capo, tempo and grips of its own chord sheet back', function (): void {
    $song = Examples::breakdown(['capo' => 2, 'tempo' => 97, 'sections' => [['name' => 'A', 'line' => '| Dm7 | G7 / A7 / |']]]);
    $voiced = Gravik\Breakdown\Toolbox::of($song)->voiced();
    $draft = DraftFile::read((new ChordProFile())->write($song, $voiced))->breakdown;

    expect($draft->start->key->text())->toBe('D minor')->and($draft->start->tempo->bpm)->toBe(97.0)->and($draft->neck->capo)->toBe(2)
        ->and(array_map(static fn ($pin): array => $pin->frets, $draft->lines[0]->pins))
        ->toBe(array_map(static fn ($grip): array => $grip->frets, $voiced->path->voicings))
        ->and(Told::chords($draft))->toBe(Told::chords($song));
});

it('measures the swing of a MIDI file and takes its strokes to the grid', function (float $ratio): void {
    $song = Examples::breakdown(['feel' => Examples::swing($ratio), 'tempo' => 120, 'sections' => [['name' => 'A', 'line' => LINE]]], 'x.xxx.xx');
    $draft = DraftFile::read((new MidiFile())->write($song, (new Performer())->perform($song)), 'Tide Table')->breakdown;
    $ticks = static fn (Breakdown $of): array => array_map(static fn (array $stroke): int => $stroke[0], Told::strokes($of));

    expect($draft->title)->toBe('Tide Table')->and($ticks($draft))->toBe($ticks($song))
        ->and(Told::chords($draft))->toBe(Told::chords($song))
        ->and($draft->start->feel->ratio)->toEqualWithDelta($ratio, 0.06)->and($draft->start->tempo->bpm)->toBe(120.0);
})->with([1.0, 1.5, 2.0]);

it('draws what stands in the file, each note on its string or as a note', function (): void {
    $song = Examples::breakdown(['sections' => [['name' => 'A', 'line' => LINE]]], 'x.c.x...');
    $timeline = (new Performer())->perform($song);
    $texts = static function (string $bytes): array {
        $picture = new SimpleXMLElement((string) DraftFile::read($bytes)->picture, LIBXML_NONET);

        return array_count_values(array_map(strval(...), array_values(iterator_to_array($picture->text, false))));
    };
    [$score, $notes] = [$texts((new MusicXmlFile())->write($song, $timeline)), $texts((new MidiFile())->write($song, $timeline))];
    $dead = array_filter($timeline->strokes, static fn (PlayedStroke $stroke): bool => $stroke->stroke->isDead());

    expect($score['Dm7'])->toBe(3)->and($score['1  A'])->toBe(1)
        ->and($score['×'])->toBe(array_sum(array_map(static fn (PlayedStroke $stroke): int => count($stroke->strings), $dead)))
        ->and($notes)->toHaveKey('●')->and($notes)->not->toHaveKey('1  A')
        ->and(DraftFile::read(json_encode((new BreakdownJson())->write($song), JSON_THROW_ON_ERROR))->picture)->toBeNull();
});

it('makes a document of every draft that is read again as it was written', function (): void {
    $json = new BreakdownJson();
    foreach (Database\Seeders\DemoSongs::all() as $song) {
        $draft = DraftFile::read((new MusicXmlFile())->write($song, (new Performer())->perform($song)))->breakdown;
        expect($json->write($json->read($json->write($draft))))->toBe($json->write($draft));
    }
    expect(Meter::KNOWN)->toContain($draft->start->meter->text());
});
