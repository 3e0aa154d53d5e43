<?php

declare(strict_types=1);

use Gravik\Formats\Draft;
use Gravik\Formats\DraftFile;
use Gravik\Formats\DraftNotReadable;
use Gravik\Formats\MusicXmlFile;
use Gravik\Performance\Performer;
use Gravik\Tests\Support\Examples;
use Gravik\Tests\Support\Told;

function scoreWith(string $measures): string
{
    return '<score-partwise><part-list><score-part id="P"/></part-list><part id="P">'.$measures.'</part></score-partwise>';
}

it('reads spellings of other programs: divisions of their own, ties, two staves in two parts, a flat score', function (): void {
    $xml = <<<'XML'
        <?xml version="1.0" encoding="UTF-8" standalone="no"?>
        <!DOCTYPE score-partwise PUBLIC "-//Nobody//DTD Score Partwise//EN" "http://nowhere.invalid/partwise.dtd">
        <score-partwise><movement-title>Of others</movement-title>
        <part-list><score-part id="V"><part-name>Voice</part-name></score-part>
          <score-part id="G"><part-name>Gtr.</part-name></score-part></part-list>
        <part id="V"><measure number="1"><attributes><divisions>2</divisions></attributes>
          <harmony><root><root-step>B</root-step><root-alter>-1</root-alter></root><kind>major-seventh</kind></harmony>
          <note><pitch><step>D</step><octave>5</octave></pitch><duration>4</duration></note>
          <harmony><root><root-step>G</root-step></root><kind>minor</kind>
            <degree><degree-value>7</degree-value><degree-alter>-1</degree-alter><degree-type>add</degree-type></degree></harmony>
          <note><rest/><duration>4</duration></note></measure></part>
        <part id="G"><measure number="1">
          <attributes><divisions>4</divisions><key><fifths>-2</fifths></key>
            <time><beats>4</beats><beat-type>4</beat-type></time></attributes>
          <sound tempo="96"/>
          <note><rest/><duration>2</duration><voice>1</voice></note>
          <note><pitch><step>D</step><octave>4</octave></pitch><duration>2</duration><tie type="start"/><voice>1</voice></note>
          <note><chord/><pitch><step>F</step><octave>4</octave></pitch><duration>2</duration><voice>1</voice></note>
          <note><pitch><step>D</step><octave>4</octave></pitch><duration>4</duration><tie type="stop"/><voice>1</voice></note>
          <note><unpitched/><duration>8</duration><notehead>x</notehead><voice>1</voice></note>
        </measure></part></score-partwise>
        XML;
    $draft = DraftFile::read($xml);
    $song = $draft->breakdown;

    expect($song->title)->toBe('Of others')->and($song->start->tempo->bpm)->toBe(96.0)->and($song->start->key->text())->toBe('B♭ major')
        ->and(Told::chords($song))->toBe([[0, 'B♭maj7'], [1920, 'Gm7']])
        ->and(array_map(static fn ($stroke): array => [$stroke->at, $stroke->isDead()], $song->patterns[0]->pattern->strokes()))
        ->toBe([[480, false], [1920, true]])
        ->and($draft->unread)->toBe(['the part “Voice”, 1 note']);
});

it('goes through the bars as repeats and endings say, and says where a jump is not followed', function (
    array $bars,
    array $played,
    array $unread,
): void {
    $measures = '';
    foreach ($bars as $chord => $signs) {
        $measures .= "<measure><harmony><root><root-step>{$chord}</root-step></root><kind>major</kind></harmony>{$signs}</measure>";
    }
    $xml = "<score-partwise><part-list><score-part id='P'/></part-list><part id='P'>{$measures}</part></score-partwise>";
    $draft = DraftFile::read($xml);

    expect(array_column(Told::chords($draft->breakdown), 1))->toBe($played)->and($draft->unread)->toBe($unread);
})->with(static function (): array {
    $from = '<barline location="left"><repeat direction="forward"/></barline>';
    $back = '<barline location="right"><repeat direction="backward"/></barline>';
    $ending = static fn (string $times, string $more = ''): string =>
        "<barline location='left'><ending number='{$times}' type='start'/></barline>"
        ."<barline location='right'><ending number='{$times}' type='stop'/>{$more}</barline>";
    $backward = '<repeat direction="backward"/>';

    return [
        'from the beginning, without a sign there' => [['C' => '', 'D' => $back, 'E' => ''], ['C', 'D', 'C', 'D', 'E'], []],
        'one after another' => [['C' => $from.$back, 'D' => $from.$back], ['C', 'C', 'D', 'D'], []],
        'four times' => [['C' => '<barline><repeat direction="backward" times="4"/></barline>'], ['C', 'C', 'C', 'C'], []],
        'endings' => [
            ['C' => $from, 'D' => $ending('1,2', $backward), 'E' => $ending('3'), 'F' => ''],
            ['C', 'D', 'C', 'D', 'C', 'E', 'F'],
            [],
        ],
        'endings without a repeat' => [['C' => '', 'D' => $ending('1'), 'E' => $ending('2')], ['C', 'D', 'E'], []],
        'a jump' => [
            ['C' => '', 'D' => '<sound dacapo="yes"/>'],
            ['C', 'D'],
            ['D.C. in bar 2: the bars are taken in the order in which they stand'],
        ],
    ];
});

it('says what is wrong with a file that cannot be read, or too large', function (callable $bytes, string $says): void {
    expect(fn (): Draft => DraftFile::read($bytes()))->toThrow(Gravik\CoreException::class, $says);
})->with([
    'nothing' => [fn (): string => '', 'no kind of file'],
    'a picture' => [fn (): string => "\x89PNG\r\n\x1a\n".str_repeat('x', 90), 'no kind of file'],
    'cut short' => [fn (): string => '<score-partwise><part-list><score-part id="P1">', 'not a score'],
    'another kind of XML' => [fn (): string => '<svg xmlns="http://www.w3.org/2000/svg"/>', 'another kind of file'],
    'time by time' => [fn (): string => '<score-timewise/>', 'part by part'],
    'an empty score' => [fn (): string => scoreWith('<measure/>'), 'Neither chords nor notes'],
    'an archive of nothing' => [fn (): string => "PK\x03\x04nonsense", 'damaged'],
    'a way out of the archive' => [
        fn (): string => packed(['META-INF/container.xml' => '<rootfile full-path="../../etc/passwd"/>']),
        'which of its files',
    ],
    'many entries' => [
        fn (): string => packed(array_fill_keys(array_map(static fn (int $n): string => "e{$n}", range(1, 25)), 'x')),
        '25 entries',
    ],
    'a bomb' => [
        fn (): string => packed(['META-INF/container.xml' => '<rootfile full-path="s.xml"/>', 's.xml' => str_repeat("\0", 40 * 1048576)]),
        'at most 30 MB',
    ],
    'a MIDI file without beats' => [fn (): string => 'MThd'.pack('Nnnn', 6, 1, 1, 0), 'no length'],
]);

/** @param array<string, string> $entries */
function packed(array $entries): string
{
    $path = (string) tempnam(sys_get_temp_dir(), 'zip');
    $zip = new ZipArchive();
    $zip->open($path, ZipArchive::OVERWRITE);
    foreach ($entries as $name => $content) {
        $zip->addFromString($name, $content);
    }
    $zip->close();
    $bytes = (string) file_get_contents($path);
    unlink($path);

    return $bytes;
}

it('names chords by their kind and degrees, and lists those that have no name here', function (
    string $harmony,
    array $chords,
    array $unread,
): void {
    $draft = DraftFile::read(scoreWith(
        '<measure><harmony><root><root-step>F</root-step></root><kind>major</kind></harmony></measure>'
        .'<measure><harmony><root><root-step>C</root-step></root>'.$harmony.'</harmony></measure>',
    ));

    expect(array_column(Told::chords($draft->breakdown), 1))->toBe($chords)->and($draft->unread)->toBe($unread);
})->with([
    'a thirteenth' => ['<kind>major-13th</kind>', ['F', 'Cmaj13'], []],
    'one of minor' => ['<kind>minor-13th</kind>', ['F', 'Cm13'], []],
    'a bass' => ['<kind>minor</kind><bass><bass-step>E</bass-step><bass-alter>-1</bass-alter></bass>', ['F', 'Cm/E♭'], []],
    'a kind of its own' => ['<kind>hokum</kind>', ['F', 'F'], ['a chord in bar 2 (C hokum): it has no name here']],
    'another, as it stands on paper' => ['<kind text="7♭9">other</kind>', ['F', 'C7♭9'], []],
    'another, and nothing on paper' => ['<kind>other</kind>', ['F', 'F'], ['a chord in bar 2 (C other): it has no name here']],
]);

it('opens no other file that a score asks for', function (string $asks): void {
    $secret = (string) tempnam(sys_get_temp_dir(), 'secret');
    file_put_contents($secret, 'LOW-WATER-MARK');
    $xml = sprintf('<!DOCTYPE score-partwise [%s]><score-partwise><work><work-title>Slack &x;</work-title></work>', sprintf($asks, $secret))
        .'<part-list><score-part id="P"/></part-list><part id="P"><measure>'
        .'<harmony><root><root-step>C</root-step></root><kind>major</kind></harmony></measure></part></score-partwise>';

    try {
        $told = DraftFile::read($xml)->breakdown->title;
    } catch (Gravik\CoreException $failure) {
        $told = $failure->getMessage();
    }
    unlink($secret);
    expect($told)->not->toContain('LOW-WATER-MARK');
})->with(['an entity' => '<!ENTITY x SYSTEM "file://%s">', 'a parameter' => '<!ENTITY %% p SYSTEM "file://%s"> %%p; <!ENTITY x "none">']);

it('takes a score out of its archive, whatever that is called', function (): void {
    $song = Examples::breakdown();
    $packed = Gravik\Formats\MxlFile::pack((new MusicXmlFile())->write($song, (new Performer())->perform($song)));

    expect(Told::strokes(DraftFile::read($packed)->breakdown))->toBe(Told::strokes($song));
});

it('lists what is beyond what a song may have', function (): void {
    $bar = '<measure><harmony><root><root-step>C</root-step></root><kind>major</kind></harmony></measure>';
    $long = DraftFile::read(scoreWith(str_repeat($bar, 900)));
    $odd = DraftFile::read(scoreWith(
        '<measure><attributes><time><beats>11</beats><beat-type>16</beat-type></time></attributes></measure>'.$bar,
    ));

    expect($long->unread)->toBe(['bars 401 to 900: a written song has at most 400 bars'])
        ->and(count($long->breakdown->course()->bars))->toBe(400)
        ->and($odd->unread)->toBe(['the meter 11/16 in bar 1: 4/4 goes on']);
});

it('leaves out what no guitar has, and says where voices are too many', function (): void {
    $note = static fn (string $step, int $octave, int $voice, string $more = ''): string =>
        "<note><pitch><step>{$step}</step><octave>{$octave}</octave></pitch>"
        ."<duration>1</duration><voice>{$voice}</voice>{$more}</note>";
    $on = static fn (int $string, int $fret): string =>
        "<notations><technical><string>{$string}</string><fret>{$fret}</fret></technical></notations>";
    $back = '<backup><duration>4</duration></backup>';
    $bar = static fn (string $notes): string => "<measure>{$notes}</measure>";
    $draft = DraftFile::read('<score-partwise><part-list><score-part id="P"/></part-list><part id="P">'
        .$bar($note('E', 4, 1).$note('C', 9, 1).$note('C', 4, 1, $on(11, 3)).$note('C', 4, 1, $on(2, 99)))
        .$bar($note('E', 3, 1).$note('G', 3, 1).$note('E', 3, 1).$note('G', 3, 1).$back.$note('B', 3, 2).$back.$note('C', 4, 3))
        .'</part></score-partwise>');

    expect($draft->unread)->toBe(['bar 1: 3 notes that no guitar has',
        'bar 2: more than two voices on one staff; what they strike together is taken for one stroke'])
        ->and(array_sum(array_map(static fn ($each): int => count($each->pattern->strokes()), $draft->breakdown->patterns)))->toBe(5);
});

it('refuses a draft by its own kind of failure', function (): void {
    expect(fn (): Draft => DraftFile::read('plain words'))->toThrow(DraftNotReadable::class, 'Choose a score');
});
