<?php

declare(strict_types=1);

namespace Gravik\Formats;

use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\PassDifferences;
use Gravik\Chart\FormBar;
use Gravik\Chart\FormChord;
use Gravik\Chart\VoicedForm;
use Gravik\Neck\Grip\Voicing;

/** A breakdown as a ChordPro sheet: the chart as grids, its grips defined, what the passes do as comments. */
final readonly class ChordProFile
{
    /** @return list<string> what of this song it does not hold, in words */
    public static function notKept(Breakdown $breakdown): array
    {
        return array_values(array_filter([
            'strokes, directions, muting and swing',
            'figures and moves',
            count($breakdown->passes) > 1 ? 'passes, but for a comment on each' : null,
            'the band, the lesson, and marks',
            'more than one grip for a chord: the first is defined',
        ]));
    }

    /** @param VoicedForm $voiced grips of the line that is written */
    public function write(Breakdown $breakdown, VoicedForm $voiced): string
    {
        $start = $breakdown->start;
        $lines = [
            "{title: {$breakdown->title}}",
            '{key: '.self::key($start->key->text()).'}',
            sprintf('{tempo: %g}', $start->tempo->bpm),
            "{time: {$start->meter->text()}}",
            ...$breakdown->neck->capo > 0 ? ["{capo: {$breakdown->neck->capo}}"] : [],
            ...$breakdown->neck->tuning->slug === 'standard' ? [] : ["{comment: Tuning: {$breakdown->neck->tuning->slug}}"],
            '',
            ...$this->defined($voiced),
            '',
            ...$this->passes($breakdown),
        ];
        $form = $breakdown->written();
        foreach ($breakdown->sections as $section) {
            foreach ([null, ...array_keys($section->endings)] as $ending) {
                $bars = array_filter(
                    $form->bars,
                    static fn (FormBar $bar): bool => $bar->section === $section->id && $bar->ending === $ending,
                );
                if ($bars !== []) {
                    $name = $ending === null ? $section->name : "{$section->name}, ending ".($ending + 1);
                    array_push($lines, "{start_of_grid: {$name}}", ...[...$this->grid($bars, $form->chords), '{end_of_grid}', '']);
                }
            }
        }

        return implode("\n", $lines);
    }

    /** @return list<string> every chord once, with the grip it has first */
    private function defined(VoicedForm $voiced): array
    {
        $defined = [];
        foreach ($voiced->path->voicings as $place => $grip) {
            $name = self::name($voiced->form->chords[$place]->chord->text());
            $defined[$name] ??= $this->define($name, $grip);
        }

        return array_values($defined);
    }

    private function define(string $name, Voicing $grip): string
    {
        $pressed = array_filter($grip->frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);
        $base = $pressed === [] ? 1 : min($pressed);
        $base = $pressed === [] || max($pressed) <= 4 ? 1 : $base;
        $frets = array_map(
            static fn (?int $fret): string => $fret === null ? 'x' : (string) ($fret === 0 ? 0 : $fret - $base + 1),
            $grip->frets,
        );
        $fingers = array_map(
            static fn (?int $finger, ?int $fret): string => $fret === null || $fret === 0 || $finger === null || $finger > 4 ? '0' : (string) $finger,
            $grip->fingers,
            $grip->frets,
        );

        return sprintf('{define: %s base-fret %d frets %s fingers %s}', $name, $base, implode(' ', $frets), implode(' ', $fingers));
    }

    /** @return list<string> */
    private function passes(Breakdown $breakdown): array
    {
        if (count($breakdown->passes) === 1) {
            return [];
        }
        $differences = (new PassDifferences($breakdown))->words();
        $lines = [];
        foreach ($breakdown->passes as $place => $pass) {
            $words = array_filter([$pass->name, $differences[$place] ?? '', $pass->notes], static fn (string $each): bool => $each !== '');
            $told = str_replace(["\n", '}'], [' ', ')'], implode(' · ', $words));
            $lines[] = $told === '' ? sprintf('{comment: Pass %d}', $place + 1) : sprintf('{comment: Pass %d: %s}', $place + 1, $told);
        }

        return [...$lines, ''];
    }

    /**
     * Four bars a line, a cell a beat.
     *
     * @param array<int, FormBar> $bars   by number in the form
     * @param list<FormChord>     $chords
     *
     * @return list<string>
     */
    private function grid(array $bars, array $chords): array
    {
        $lines = [];
        foreach (array_chunk($bars, 4, true) as $row) {
            $cells = [];
            foreach ($row as $number => $bar) {
                $beats = array_fill(0, $bar->meter->beats(), '.');
                foreach ($chords as $chord) {
                    if ($chord->bar === $number) {
                        $beats[min(count($beats) - 1, intdiv($chord->at->tick, $bar->meter->beatTicks()))] = self::name($chord->chord->text());
                    }
                }
                $cells[] = implode(' ', $beats);
            }
            $lines[] = '| '.implode(' | ', $cells).' |';
        }

        return $lines;
    }

    /** Chord names in the letters that every reader of such sheets knows. */
    public static function name(string $symbol): string
    {
        return strtr($symbol, ['♭' => 'b', '♯' => '#', '𝄫' => 'bb', '𝄪' => '##', 'mMaj7' => 'm(maj7)']);
    }

    private static function key(string $key): string
    {
        return strtr($key, [' major' => '', ' minor' => 'm', '♭' => 'b', '♯' => '#']);
    }
}
