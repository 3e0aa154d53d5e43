<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

use Gravik\Breakdown\Stage;
use Gravik\Chart\ChartLine;
use Gravik\CoreException;
use Gravik\Harmony\Key;
use Gravik\Time\Meter;

/**
 * Version 1 knew one pattern, one line of grips, and sections by their number. It becomes one pass without cells over a form
 * that has every section once.
 *
 * @internal used by Upgrade
 */
final readonly class UpgradeFrom1
{
    private const MOVED = [
        'key',
        'meter',
        'tempo',
        'feel',
        'tuning',
        'capo',
        'company',
        'pins',
        'approaches',
        'path',
        'pattern',
        'school',
        'band',
        'gates',
    ];

    /** What a part that was not listed played like. */
    private const PLAIN_PART = ['level' => 0.8, 'offsetMs' => 0, 'straight' => false];

    /**
     * @param array<array-key, mixed> $old of any shape
     *
     * @return array<array-key, mixed>
     */
    public function upgrade(array $old): array
    {
        $sections = $this->each($old, 'sections', static fn (array $section, int $place): array => ['id' => self::id($place)] + $section);
        $known = is_array($sections) ? count($sections) : 0;
        [$moves, $placed] = $this->moves($old, $known);

        return ['version' => 2, 'sections' => $sections] + array_diff_key($old, array_flip(self::MOVED)) + [
            'start' => self::having($old, ['key', 'meter', 'tempo', 'feel']),
            'guitar' => self::having($old, ['tuning', 'capo']),
            'form' => array_map(
                static fn (int $place): array => ['section' => self::id($place), 'times' => 1],
                $known === 0 ? [] : range(0, $known - 1),
            ),
            'patterns' => [$this->pattern($old)],
            'lines' => [self::having($old, ['company']) + (isset($old['path']) ? ['wishes' => $old['path']] : []) + [
                'id' => 'l1',
                'name' => '',
                'pins' => $this->pins($old, $known),
            ]],
            'moves' => $moves,
            'placed' => $placed,
            'parts' => $this->parts($old['band'] ?? null),
            'passes' => [['id' => '1', 'name' => '', 'notes' => '', 'cells' => []]],
            'cells' => [],
            'lesson' => $this->each($old + ['gates' => []], 'gates', $this->gate(...)),
        ];
    }

    public function pointerBefore(string $pointer): string
    {
        $moved = [
            '~^/(start|guitar)(?=/|$)~' => '',
            '~^/patterns/0/(school|meter)$~' => '/$1',
            '~^/patterns/0~' => '/pattern',
            '~^/lines/0/wishes~' => '/path',
            '~^/lines/0/pins/(\d+)/at/(section|bar)~' => '/pins/$1/$2',
            '~^/lines/0/pins/(\d+)/at/tick~' => '/pins/$1/at',
            '~^/lines/0/pins/(\d+)/at$~' => '/pins/$1',
            '~^/lines/0~' => '',
            '~^/parts/\d+/groove~' => '/band/groove',
            // The parts stand in another order now, so which of them it is the message says.
            '~^/parts.*~' => '/band/parts',
            '~^/placed/(\d+)/at/(section|bar)~' => '/approaches/$1/$2',
            '~^/placed~' => '/approaches',
            '~^/moves/(\d+)/rule~' => '/approaches/$1',
            '~^/lesson/(\d+)/gate~' => '/gates/$1',
            '~^/lesson~' => '/gates',
        ];

        return (string) preg_replace(array_keys($moved), array_values($moved), $pointer, 1);
    }

    /**
     * @param array<array-key, mixed> $old
     *
     * @return array<array-key, mixed>
     */
    private function pattern(array $old): array
    {
        $pattern = is_array($old['pattern'] ?? null) ? $old['pattern'] : [];

        return $pattern
            + self::having($old, ['meter', 'school'])
            + ['id' => 'p1', 'name' => '']
            + ($this->soundsOtherwise($old, $pattern) ? ['runsOn' => true] : []);
    }

    /**
     * Whether a pattern that begins anew with each section would sound otherwise than one that runs on: where a section before
     * the last does not end with the pattern.
     *
     * @param array<array-key, mixed> $old
     * @param array<array-key, mixed> $pattern
     */
    private function soundsOtherwise(array $old, array $pattern): bool
    {
        if (
            ! is_string($old['key'] ?? null)
            || ! is_string($old['meter'] ?? null)
            || ! is_int($pattern['ticks'] ?? null)
            || ! is_array($old['sections'] ?? null)
        ) {
            return false;
        }

        try {
            $meter = Meter::parse($old['meter']);
            $reader = new ChartLine(Key::parse($old['key']), $meter);
            $patternBars = max(1, intdiv($pattern['ticks'], $meter->barTicks()));
            $reached = 0;
            foreach (array_slice($old['sections'], 0, -1) as $section) {
                $reached += is_array($section) && is_string($section['line'] ?? null) ? count($reader->read($section['line'])->bars) : 0;
                if ($reached % $patternBars !== 0) {
                    return true;
                }
            }
        } catch (CoreException) {
            // The reader says what is wrong.
        }

        return false;
    }

    /**
     * Pins of sections that were not there held nothing.
     *
     * @param array<array-key, mixed> $old
     */
    private function pins(array $old, int $sections): mixed
    {
        $pins = $old['pins'] ?? null;
        $kept = is_array($pins)
            ? array_values(array_filter(
                $pins,
                static fn (mixed $pin): bool => ! is_array($pin) || ! is_int($pin['section'] ?? null) || $pin['section'] < $sections,
            ))
            : $pins;

        return $this->each(
            ['pins' => $kept],
            'pins',
            static fn (array $pin): array => ['at' => self::place($pin)] + array_diff_key($pin, ['section' => 0, 'bar' => 0, 'at' => 0]),
        );
    }

    /**
     * Each approach becomes a placed move; those of one rule share it.
     *
     * @param array<array-key, mixed> $old
     *
     * @return array{mixed, mixed}
     */
    private function moves(array $old, int $sections): array
    {
        $approaches = $old['approaches'] ?? [];
        if (! is_array($approaches) || ! array_is_list($approaches)) {
            return [[], $approaches];
        }
        $moves = $placed = [];
        foreach ($approaches as $approach) {
            if (! is_array($approach) || (is_int($approach['section'] ?? null) && $approach['section'] >= $sections)) {
                continue;
            }
            $rule = self::having($approach, ['kind', 'steps', 'slotTicks']);
            $known = array_search($rule, array_column($moves, 'rule'), true);
            if ($known === false) {
                $known = count($moves);
                $moves[] = ['id' => 'm'.($known + 1), 'name' => '', 'rule' => $rule];
            }
            $placed[] = ['what' => 'm'.($known + 1), 'at' => self::place($approach)]
                + array_diff_key($approach, array_flip(['section', 'bar', 'at', 'kind', 'steps', 'slotTicks']));
        }

        return [$moves, $placed];
    }

    private function parts(mixed $band): mixed
    {
        if (! is_array($band) || ! is_array($band['parts'] ?? null)) {
            return $band;
        }
        $parts = [];
        foreach (['drums', 'bass', 'guitar'] as $instrument) {
            $told = array_values(array_filter(
                $band['parts'],
                static fn (mixed $part): bool => is_array($part) && ($part['name'] ?? null) === $instrument,
            ))[0]
                ?? self::PLAIN_PART;
            $parts[] = ['id' => $instrument, 'instrument' => $instrument] + array_diff_key($told, ['name' => 0])
                + ($instrument === 'guitar' ? [] : self::having($band, ['groove']));
        }
        $others = array_filter(
            $band['parts'],
            static fn (mixed $part): bool => ! is_array($part) || ! in_array($part['name'] ?? null, ['drums', 'bass', 'guitar'], true),
        );

        return [
            ...$parts,
            ...array_map(
                static fn (mixed $part): mixed => is_array($part)
                    ? ['id' => 'other', 'instrument' => $part['name'] ?? null] + array_diff_key($part, ['name' => 0])
                    : $part,
                array_values($others),
            ),
        ];
    }

    /**
     * @param array<array-key, mixed> $gate
     *
     * @return array<array-key, mixed>
     */
    private function gate(array $gate): array
    {
        $stage = is_int($gate['stage'] ?? null) ? Stage::tryFrom($gate['stage'])?->slug() : null;

        return ['stage' => $stage ?? (string) json_encode($gate['stage'] ?? null), 'gate' => array_diff_key($gate, ['stage' => 0])];
    }

    /**
     * @param array<array-key, mixed> $old
     *
     * @return array<array-key, mixed>
     */
    private static function place(array $old): array
    {
        $place = self::having($old, ['section', 'bar']) + ['ending' => null] + (array_key_exists('at', $old) ? ['tick' => $old['at']] : []);

        return is_int($place['section'] ?? null) ? ['section' => self::id($place['section'])] + $place : $place;
    }

    private static function id(int $place): string
    {
        return 's'.($place + 1);
    }

    /**
     * @param array<array-key, mixed> $values
     * @param list<string>            $names
     *
     * @return array<array-key, mixed>
     */
    private static function having(array $values, array $names): array
    {
        return array_intersect_key($values, array_flip($names));
    }

    /**
     * @param array<array-key, mixed>                                       $old
     * @param callable(array<array-key, mixed>, int): array<array-key, mixed> $upgraded
     */
    private function each(array $old, string $name, callable $upgraded): mixed
    {
        $list = $old[$name] ?? null;

        return is_array($list) && array_is_list($list)
            ? array_map(
                static fn (mixed $each, int $place): mixed => is_array($each) ? $upgraded($each, $place) : $each,
                $list,
                array_keys($list),
            )
            : $list;
    }
}
