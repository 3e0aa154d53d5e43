<?php

declare(strict_types=1);

namespace Gravik\Listening\Chords;

use Gravik\Harmony\ChordSymbol;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Neck\Company;
use Gravik\Neck\Finder\VoicingFinder;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;

/** Tells in which grip a chord was probably held: of those the finder knows, the one whose strings sounded, and no others. */
final class HeldGrips
{
    /** Grips of a chord that are looked at, the handiest first. */
    private const LOOKED_AT = 120;

    /** A note at this level speaks neither for a grip nor against it. */
    private const SAYS_NOTHING = 0.15;

    /** Above, harmonics outnumber notes. */
    private const HIGHEST = 76;

    /** How much a grip's awkwardness counts beside what was heard. */
    private const AWKWARD = 0.05;

    /** @var array<string, list<Voicing>> */
    private array $known = [];

    private readonly VoicingFinder $finder;

    public function __construct(Neck $neck, Company $company)
    {
        $this->finder = new VoicingFinder($neck, new FretRange(0, 15), $company);
    }

    /**
     * @param list<array{float, float}> $spans seconds from and until which it sounds
     *
     * @return ?Voicing null where this neck has no grip for the chord
     */
    public function of(ChordSymbol $chord, NotesHeard $notes, array $spans): ?Voicing
    {
        $says = array_map(static fn (float $level): float => $level - self::SAYS_NOTHING, $notes->over($spans));
        $strangers = array_filter(
            $says,
            static fn (float $level, int $midi): bool => $level > 0 && $midi <= self::HIGHEST,
            ARRAY_FILTER_USE_BOTH,
        );
        $best = null;
        $most = -INF;
        foreach ($this->grips($chord) as $grip) {
            $midi = array_unique(array_filter($grip->midi, static fn (?int $note): bool => $note !== null));
            $fit = array_sum(array_map(static fn (int $note): float => $says[$note] ?? -self::SAYS_NOTHING, $midi))
                - array_sum(array_diff_key($strangers, array_flip($midi)))
                - self::AWKWARD * $grip->rank;
            if ($fit > $most) {
                [$best, $most] = [$grip, $fit];
            }
        }

        return $best;
    }

    /** @return list<Voicing> */
    private function grips(ChordSymbol $chord): array
    {
        try {
            return $this->known[$chord->text()] ??= $this->finder->find($chord, self::LOOKED_AT)->best;
        } catch (NeckException) {
            return $this->known[$chord->text()] = [];
        }
    }
}
