<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\BandPart;
use Gravik\Band\Groove;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Way;
use Gravik\Neck\Company;
use Gravik\Strokes\Shaping\BarMove;
use Gravik\Strokes\Written\LibraryPattern;
use Gravik\Strokes\Written\PatternLibrary;
use Gravik\Time\Tempo;

/**
 * What a plain genre word means for a breakdown: a pattern with its meter, feel and school, a groove and a tempo, the kind of
 * grips, who is in the band and in which role, the usual moves, and what to mind.
 *
 * @phpstan-type Row array{string, string, string, int, string, array<string, array{?string, float, string}>, list<string>, string}
 */
final readonly class GenreProfile
{
    /** How loud the guitar is, so that it hangs below whoever leads. */
    private const GUITAR = 0.6;

    /** Who is there where a profile does not say otherwise. */
    private const ALWAYS = [
        'drums' => [null, 0.45, 'active'],
        'bass' => [null, 0.5, 'active'],
        'guitar' => [null, self::GUITAR, 'active'],
    ];

    /**
     * @param non-empty-list<BandPart> $parts
     * @param array<string, Role>      $roles   of parts that do not simply play, by id
     * @param list<BarMove>            $moves   usual ones, the most usual first
     * @param string                   $caution a sentence
     */
    private function __construct(
        public string $slug,
        public string $word,
        public LibraryPattern $pattern,
        public Groove $groove,
        public Tempo $tempo,
        public Company $company,
        public array $parts,
        public array $roles,
        public array $moves,
        public string $caution,
    ) {}

    /** @return list<self> */
    public static function all(): array
    {
        /** @var array<string, Row> $table */
        $table = require __DIR__.'/Data/profiles.php';
        $patterns = [];
        foreach (PatternLibrary::all() as $pattern) {
            $patterns[$pattern->slug] = $pattern;
        }
        $profiles = [];
        foreach ($table as $slug => [$word, $pattern, $groove, $tempo, $company, $band, $moves, $caution]) {
            $plays = Groove::named($groove);
            $profiles[] = new self(
                $slug,
                $word,
                $patterns[$pattern],
                $plays,
                new Tempo((float) $tempo),
                Company::from($company),
                self::parts($plays, $band),
                array_filter(
                    array_map(static fn (array $told): Role => Role::from($told[2]), $band),
                    static fn (Role $role): bool => $role !== Role::Active,
                ),
                array_map(BarMove::from(...), $moves),
                $caution,
            );
        }

        return $profiles;
    }

    /** The breakdown with all that the word means; its chords, key and title stay. */
    public function over(Breakdown $breakdown): Breakdown
    {
        $named = $breakdown->patterns[0]->with($this->pattern->pattern, $this->pattern->school);
        $line = $breakdown->lines[0]->with(company: $this->company);
        $cells = [];
        foreach ($this->roles as $part => $role) {
            $cells[] = new Cell($part, role: $role);
        }

        return $breakdown->with(
            genre: $this->word,
            start: $breakdown->start->with(meter: $this->pattern->pattern->meter, tempo: $this->tempo, feel: $this->pattern->feel),
            patterns: [$named, ...array_slice($breakdown->patterns, 1)],
            lines: [$line, ...array_slice($breakdown->lines, 1)],
            parts: $this->parts,
            cells: $cells,
        );
    }

    /**
     * @param array<string, array{?string, float, string}> $band
     *
     * @return non-empty-list<BandPart>
     */
    private static function parts(Groove $groove, array $band): array
    {
        $band += self::ALWAYS;
        $parts = [];
        foreach (Instrument::cases() as $instrument) {
            if (! isset($band[$instrument->value])) {
                continue;
            }
            [$way, $level] = $band[$instrument->value];
            $parts[] = new BandPart(
                $instrument->value,
                $instrument,
                $level,
                groove: $instrument->playsAGroove() ? $groove : null,
                way: $way === null ? null : Way::from($way),
            );
        }

        return $parts;
    }
}
