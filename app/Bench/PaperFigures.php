<?php

declare(strict_types=1);

namespace App\Bench;

use App\Compute\VoicedForms;
use App\Documents\Handouts;
use App\Documents\NoPrinter;
use App\Documents\PagePrinter;
use Gravik\Formats\BreakdownJson;
use Gravik\Formats\DraftFile;
use Gravik\Formats\MusicXmlFile;
use Gravik\Handout\HandoutWishes;
use Gravik\Lesson\Steps\LessonPlanner;
use Gravik\Performance\Performer;

/** What a lesson, its page and a score of it cost, for 160 bars in five passes. */
final readonly class PaperFigures
{
    /** As many measures as fit a file that is still read. */
    private const MANY = 10_000;

    public function __construct(
        private VoicedForms $voiced,
        private LessonPlanner $planner,
        private Handouts $handouts,
        private PagePrinter $printer,
    ) {}

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    public function rows(): array
    {
        $song = (new BreakdownJson())->read(LongSong::inFivePasses());
        $voiced = $this->voiced->all($song);
        $stages = fn (): array => $this->planner->plan($song, $voiced)->stages();
        $band = LongSong::withBand();
        $played = (new Performer())->perform($band);
        $score = (new MusicXmlFile())->write($band, $played);
        $guitar = (new MusicXmlFile())->write($song, (new Performer())->perform($song, null, $voiced));
        $many = self::measures(self::MANY);

        return [
            Stopwatch::of($stages)->row('stages of a breakdown of five passes', 'under 100 ms'),
            ...$this->printed(),
            Stopwatch::of(static fn (): string => (new MusicXmlFile())->write($band, $played))->row(
                'score of 160 bars, six parts',
                'under 500 ms',
            ),
            Stopwatch::of(static fn () => DraftFile::read($score))->row('reading it back', 'under 1000 ms'),
            Stopwatch::of(static fn () => DraftFile::read($guitar))->row('reading back that of three parts', 'under 1000 ms'),
            Stopwatch::of(static fn () => DraftFile::read($many))
                ->row(sprintf('reading %.1f MB of %d measures', strlen($many) / 1e6, self::MANY), 'under 3000 ms'),
        ];
    }

    /** @return list<array{what: string, median: float, worst: ?float, unit: string, asked: string}> */
    private function printed(): array
    {
        $song = (new BreakdownJson())->read(LongSong::inFivePasses());
        $bytes = 0;
        $print = function () use ($song, &$bytes): void {
            $bytes = strlen($this->printer->pdf($this->handouts->html($song, HandoutWishes::everything())));
        };

        try {
            return [
                Stopwatch::of($print)->row('handout as PDF', 'under 2000 ms'),
                ['what' => 'the same', 'median' => round($bytes / 1000, 1), 'worst' => null, 'unit' => 'kB', 'asked' => 'under 1000 kB'],
            ];
        } catch (NoPrinter) {
            return [];
        }
    }

    private static function measures(int $many): string
    {
        $note = static fn (string $more, string $step, int $string, int $fret): string => "<note>{$more}<pitch><step>{$step}</step><octave>4</octave></pitch>"
            ."<duration>2</duration><notations><technical><string>{$string}</string><fret>{$fret}</fret></technical></notations></note>";
        $measure = '<measure><harmony><root><root-step>C</root-step></root><kind>major</kind></harmony>'
            .str_repeat($note('', 'E', 1, 0).$note('<chord/>', 'C', 2, 1), 8).'</measure>';

        return '<score-partwise><part-list><score-part id="P"><part-name>Guitar</part-name></score-part></part-list><part id="P">'
            .'<measure><attributes><divisions>4</divisions></attributes></measure>'.str_repeat($measure, $many - 1).'</part></score-partwise>';
    }
}
