<?php

declare(strict_types=1);

namespace Gravik\Chart;

use Gravik\Chart\Failure\SongTooLong;
use Gravik\Time\Tempo;
use Gravik\Time\TimeMap;

/** The song as it is played: pass after pass through the form, each section with the ending of its time. */
final readonly class Course
{
    public const MOST_BARS = 2000;

    /**
     * @param list<Visit>       $visits
     * @param list<CourseBar>   $bars
     * @param list<CourseChord> $chords
     */
    private function __construct(
        public Form $form,
        private Setting $song,
        public array $visits,
        public array $bars,
        public array $chords,
    ) {}

    /**
     * @param list<Section>   $sections
     * @param list<FormEntry> $entries sections in the order in which they are played
     * @param list<string>    $passes  ids, in order
     *
     * @throws ChartException where that is more than can be played
     */
    public static function of(array $sections, Setting $song, array $entries, array $passes): self
    {
        $form = Form::of($sections, $song);
        $byId = array_column(array_map(static fn (Section $section): array => [$section->id, $section], $sections), 1, 0);
        $written = self::written($form);
        $visits = $bars = $chords = [];
        $tick = 0;
        foreach ($passes as $pass) {
            $times = [];
            foreach ($entries as $entry) {
                for ($round = 0; $round < ($entry->comesIn($pass) ? $entry->times : 0); $round++) {
                    $section = $byId[$entry->section];
                    $time = $times[$section->id] = ($times[$section->id] ?? 0) + 1;
                    $ending = $section->endingAt($time, $pass);
                    $places = [...$written[$section->id][''] ?? [], ...$ending === null ? [] : $written[$section->id][$ending] ?? []];
                    $setting = $section->setting($song);
                    $visit = new Visit($pass, $section, $time, $setting, $tick, count($bars), count($places));
                    $loudness = Loudness::ofBars($section->dynamics, count($places));
                    foreach ($places as $inVisit => [$writtenBar, $chordsThere]) {
                        foreach ($chordsThere as $index) {
                            $chord = $form->chords[$index];
                            $chords[] = new CourseChord($index, count($visits), $tick + $chord->at->tick, $chord->ticks, $chord->chord);
                        }
                        $bars[] = new CourseBar($writtenBar, $tick, count($visits), $inVisit, $setting->meter, $loudness[$inVisit]);
                        $tick += $setting->meter->barTicks();
                    }
                    $visits[] = $visit;
                    if (count($bars) > self::MOST_BARS) {
                        throw new SongTooLong(self::MOST_BARS);
                    }
                }
            }
        }

        return new self($form, $song, $visits, $bars, $chords);
    }

    public function ticks(): int
    {
        $last = $this->visits[count($this->visits) - 1] ?? null;

        return $last?->until() ?? 0;
    }

    /** @param ?Tempo $practice that the song's own tempo becomes; sections with another are scaled alike */
    public function timeMap(?Tempo $practice = null): TimeMap
    {
        $tempo = $practice ?? $this->song->tempo;
        $parts = array_map(
            fn (Visit $visit): array => ['bars' => $visit->bars, 'ruler' => $visit->setting->scaled($this->song->tempo, $tempo)->ruler()],
            array_values(array_filter($this->visits, static fn (Visit $visit): bool => $visit->bars > 0)),
        );

        return TimeMap::of($parts === [] ? [['bars' => 0, 'ruler' => $this->song->with(tempo: $tempo)->ruler()]] : $parts);
    }

    /**
     * @return array<string, array<int|string, list<array{int, list<int>}>>> section => ending, '' for its own line => each bar's number, and its chords
     */
    private static function written(Form $form): array
    {
        $chords = [];
        foreach ($form->chords as $index => $chord) {
            $chords[$chord->bar][] = $index;
        }
        $written = [];
        foreach ($form->bars as $number => $bar) {
            $written[$bar->section][$bar->ending ?? ''][] = [$number, $chords[$number] ?? []];
        }

        return $written;
    }
}
