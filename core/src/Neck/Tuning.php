<?php

declare(strict_types=1);

namespace Gravik\Neck;

use Gravik\Neck\Failure\StringCountOutOfRange;
use Gravik\Neck\Failure\StringPitchOutOfRange;
use Gravik\Neck\Failure\TuningUnknown;
use Gravik\Pitch\Pitch;

/** The open strings of a guitar, from the lowest string to the highest. Strings are numbered from the high side: 1 is the last. */
final readonly class Tuning
{
    private const LOWEST = 23;

    private const HIGHEST = 79;

    /** @param list<Pitch> $pitches 4 to 8 */
    private function __construct(public string $slug, public array $pitches)
    {
        if (count($pitches) < 4 || count($pitches) > 8) {
            throw new StringCountOutOfRange(count($pitches));
        }
        foreach ($pitches as $pitch) {
            if ($pitch->midi() < self::LOWEST || $pitch->midi() > self::HIGHEST) {
                throw new StringPitchOutOfRange($pitch->text());
            }
        }
    }

    /** Reads a name ("drop-d", "Drop D") or pitches separated by commas, lowest string first. */
    public static function parse(string $typed): self
    {
        $known = self::known();
        $typed = trim($typed);
        foreach ($known as $slug => [$name, $pitches]) {
            if (in_array(self::plain($typed), [self::plain($slug), self::plain($name)], true)) {
                return new self($slug, self::pitches($pitches));
            }
        }
        if (! str_contains($typed, ',') || mb_strlen($typed) > 80) {
            throw new TuningUnknown($typed, implode(', ', array_column($known, 0)));
        }
        $pitches = self::pitches($typed);

        return new self(implode(',', array_map(static fn (Pitch $pitch): string => $pitch->text(), $pitches)), $pitches);
    }

    public static function standard(): self
    {
        return self::parse('standard');
    }

    /** What a guitar of so many strings is usually tuned to. */
    public static function usual(int $strings): self
    {
        return self::parse(match (true) {
            $strings <= 4 => 'tenor',
            $strings === 5 => 'A2,D3,G3,B3,E4',
            $strings === 6 => 'standard',
            $strings === 7 => 'seven-string',
            default => 'eight-string',
        });
    }

    /** @return array<string, array{string, string}> slug => [shown name, pitches] */
    public static function known(): array
    {
        /** @var array<string, array{string, string}> $known */
        $known = require __DIR__.'/Data/tunings.php';

        return $known;
    }

    public function strings(): int
    {
        return count($this->pitches);
    }

    /** @return list<int> MIDI numbers of the strings as they sound open above the capo */
    public function openMidi(int $capo): array
    {
        return array_map(static fn (Pitch $pitch): int => $pitch->midi() + $capo, $this->pitches);
    }

    /** Whether the strings lie in the fourths-and-third of the standard guitar, so that its five shape families hold. */
    public function keepsStandardIntervals(): bool
    {
        $midi = $this->openMidi(0);
        $steps = array_map(static fn (int $lower, int $upper): int => $upper - $lower, array_slice($midi, 0, -1), array_slice($midi, 1));

        return $steps === [5, 5, 5, 4, 5];
    }

    /** Names are the same however they are capitalised and parted. */
    private static function plain(string $name): string
    {
        return (string) preg_replace('/[^a-z0-9]+/', '', mb_strtolower($name));
    }

    /** @return list<Pitch> */
    private static function pitches(string $typed): array
    {
        return array_map(static fn (string $pitch): Pitch => Pitch::parse($pitch), explode(',', $typed));
    }
}
