<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Chart\Section;
use Gravik\Time\FeelWords;

/** What differs between a breakdown as somebody knows it and as it is now, in words for who has to play it. */
final readonly class Differences
{
    private const MOST_BARS = 4;

    /** @return list<string> none where it is played the same */
    public static function between(Breakdown $before, Breakdown $after): array
    {
        [$was, $is] = [$before->start, $after->start];
        $said = [];
        foreach ([
            'the key' => [$was->key->text(), $is->key->text()],
            'the meter' => [$was->meter->text(), $is->meter->text()],
            'the tempo' => [sprintf('%g', $was->tempo->bpm), sprintf('%g', $is->tempo->bpm)],
            'the feel' => serialize($was->feel) === serialize($is->feel)
                ? ['', '']
                : [FeelWords::of($was->feel, $was->tempo), FeelWords::of($is->feel, $is->tempo)],
            'the tuning' => [$before->neck->tuning->slug, $after->neck->tuning->slug],
            'the capo' => [self::fret($before->neck->capo), self::fret($after->neck->capo)],
        ] as $what => [$then, $now]) {
            $said[] = $then === $now ? null : "{$what} is {$now} instead of {$then}";
        }

        return array_values(array_filter([
            ...$said,
            ...self::chords($before, $after),
            serialize($before->form) === serialize($after->form) ? null : 'the way through the song is another',
            ...self::named('the strokes of', 'pattern', $before->patterns, $after->patterns),
            ...self::named('the grips of', 'line', $before->lines, $after->lines),
            ...self::named('the figure', 'figure', $before->figures, $after->figures),
            ...self::named('the pass', 'pass', $before->passes, $after->passes),
            serialize([$before->cells, $before->played, $before->placed]) === serialize([$after->cells, $after->played, $after->placed])
                ? null
                : 'what is played in which bars',
            serialize($before->parts) === serialize($after->parts) ? null : 'the band',
        ], static fn (?string $each): bool => $each !== null));
    }

    /** @return list<string> */
    private static function chords(Breakdown $before, Breakdown $after): array
    {
        $said = [];
        $then = self::bars($before);
        $byId = array_column(array_map(static fn (Section $section): array => [$section->id, $section], $before->sections), 1, 0);
        foreach ($after->sections as $section) {
            if (! isset($byId[$section->id])) {
                $said[] = "the section {$section->name} is new";

                continue;
            }
            $changed = [];
            $now = self::bars($after)[$section->id] ?? [];
            $old = $then[$section->id] ?? [];
            foreach ($now as $bar => [$number, $chords]) {
                if (($old[$bar][1] ?? null) !== $chords) {
                    $changed[] = "bar {$number}: {$chords}".(isset($old[$bar]) ? " instead of {$old[$bar][1]}" : '');
                }
            }
            $gone = count(array_diff_key($old, $now));
            array_push($said, ...array_slice($changed, 0, self::MOST_BARS), ...array_filter([
                count($changed) > self::MOST_BARS ? sprintf('%d more bars of %s', count($changed) - self::MOST_BARS, $section->name) : '',
                $gone === 0 ? '' : sprintf('%s is %d bar%s shorter', $section->name, $gone, $gone === 1 ? '' : 's'),
            ], static fn (string $each): bool => $each !== ''));
            unset($byId[$section->id]);
        }
        foreach ($byId as $id => $section) {
            if (! in_array($id, array_map(static fn (Section $each): string => $each->id, $after->sections), true)) {
                $said[] = "the section {$section->name} is gone";
            }
        }

        return $said;
    }

    /** @return array<string, array<string, array{int, string}>> section => ending and bar in it => number on paper, its chords */
    private static function bars(Breakdown $song): array
    {
        $form = $song->written();
        $bars = [];
        foreach ($form->bars as $number => $bar) {
            $chords = implode(' ', array_map(static fn ($chord): string => $chord->text(), $form->chordsOfBar($number)));
            $bars[$bar->section][($bar->ending ?? '').'/'.$bar->inSection] = [$bar->number, $chords === '' ? 'N.C.' : $chords];
        }

        return $bars;
    }

    /**
     * @template T of object{id: string, name: string}
     *
     * @param list<T> $before
     * @param list<T> $after
     *
     * @return list<string>
     */
    private static function named(string $of, string $kind, array $before, array $after): array
    {
        $then = [];
        foreach ($before as $place => $each) {
            $then[$each->id] = [self::called($each->name, $kind, $place), serialize($each)];
        }
        $said = [];
        foreach ($after as $place => $each) {
            $name = self::called($each->name, $kind, $place);
            if (! isset($then[$each->id])) {
                $said[] = "{$of} {$name} (new)";
            } elseif ($then[$each->id][1] !== serialize($each)) {
                $said[] = "{$of} {$name}";
            }
            unset($then[$each->id]);
        }

        return [...$said, ...array_map(static fn (array $gone): string => "{$of} {$gone[0]} (gone)", array_values($then))];
    }

    private static function called(string $name, string $kind, int $place): string
    {
        return $name === '' ? $kind.' '.($place + 1) : "“{$name}”";
    }

    private static function fret(int $capo): string
    {
        return $capo === 0 ? 'off' : "at {$capo}";
    }
}
