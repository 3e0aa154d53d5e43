<?php

declare(strict_types=1);

namespace Gravik\Neck\Finder;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Company;
use Gravik\Neck\Failure\GripNotReadable;
use Gravik\Neck\Failure\NothingFits;
use Gravik\Neck\Finder\Internal\Demand;
use Gravik\Neck\Finder\Internal\FingeringSearch;
use Gravik\Neck\Finder\Internal\GripSearch;
use Gravik\Neck\Finder\Internal\KindRules;
use Gravik\Neck\FretRange;
use Gravik\Neck\Grip\CommonGrips;
use Gravik\Neck\Grip\Difficulty;
use Gravik\Neck\Grip\Frets;
use Gravik\Neck\Grip\GripKind;
use Gravik\Neck\Grip\Unsuitability;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;

/** Finds the grips for a chord on a neck, those that suit the hand and the company best first. */
final readonly class VoicingFinder
{
    private const FINGERS = 4;

    public function __construct(
        private Neck $neck,
        private FretRange $range = new FretRange(),
        private Company $company = Company::Alone,
        private HandProfile $hand = new HandProfile(),
        private ?GripKind $kind = null,
        private Difficulty $difficulty = new Difficulty(),
        private Unsuitability $unsuitability = new Unsuitability(),
        private FingeringSearch $fingering = new FingeringSearch(),
    ) {}

    /**
     * The best grips within the bare rules that this hand can reach. Fingers are worked out for the promising grips
     * only: grips are taken in order of what they cost at least, until no later one can beat the worst one kept.
     *
     * @param int $limit how many to return, 1 or more
     *
     * @throws NeckException when there is none, saying which rule leaves nothing
     */
    public function find(ChordSymbol $chord, int $limit): FoundGrips
    {
        $grips = $this->search($chord);
        $atLeast = $this->leastRanks($grips);
        if ($atLeast === []) {
            throw new NothingFits($chord->text(), $grips === [] && $this->kind !== null
                ? sprintf('It has no such grip here (%s): choose another kind, or allow more strings or frets.', $this->kind->words())
                : ($grips === []
                ? 'No four-fret box on these strings and frets holds all its required notes: allow more strings or frets'.($this->company === Company::Alone ? ', or choose with a bass, where the root may be left out, or shells only.' : '.')
                : sprintf(
                    'All %d grips need more than the %d mm this hand reaches: choose a larger hand or higher frets.',
                    count($grips),
                    (int) $this->hand->reachMm(),
                )));
        }
        asort($atLeast);
        $best = [];
        /** @var \SplMaxHeap<float> $kept ranks of the best so far, the worst on top */
        $kept = new \SplMaxHeap();
        foreach ($atLeast as $index => $least) {
            if (count($kept) >= $limit && $least > $kept->top()) {
                break;
            }
            $voicing = $this->voicing($chord, $grips[$index]);
            if ($voicing !== null) {
                $best[] = $voicing;
                $kept->insert($voicing->rank);
                if (count($kept) > $limit) {
                    $kept->extract();
                }
            }
        }
        if ($best === []) {
            throw new NothingFits(
                $chord->text(),
                'The fingers of this hand cannot hold any of its grips here: let it use a barre, the thumb or more fingers, or allow more strings.',
            );
        }
        usort($best, self::bestFirst(...));

        return new FoundGrips(count($atLeast), array_slice($best, 0, max(1, $limit)));
    }

    /**
     * As find(), but for a part that plays alone led by the grips of this chord that everybody plays, from the nut upwards.
     *
     * @throws NeckException
     */
    public function findFamiliar(ChordSymbol $chord, int $limit): FoundGrips
    {
        $found = $this->find($chord, $limit);
        $common = $this->company === Company::Alone ? (new CommonGrips($this->neck))->of($chord) : [];
        $known = [];
        foreach ($common === [] ? [] : $this->search($chord) as $frets) {
            $grip = isset($common[Frets::text($frets)]) ? $this->voicing($chord, $frets) : null;
            if ($grip !== null && $grip->spanMm <= $this->hand->reachMm()) {
                $known[] = $grip;
            }
        }
        usort(
            $known,
            static fn (Voicing $a, Voicing $b): int => [
                $a->position,
                $common[Frets::text($a->frets)],
            ] <=> [$b->position, $common[Frets::text($b->frets)]],
        );
        $others = array_filter($found->best, static fn (Voicing $grip): bool => ! isset($common[Frets::text($grip->frets)]));

        $best = array_slice([...$known, ...array_values($others)], 0, max(1, $limit));

        return $best === [] ? $found : new FoundGrips($found->count, $best);
    }

    /**
     * Every grip within the bare rules, whatever the hand's reach, in order of the strings from low to high.
     *
     * @return list<Voicing>
     */
    public function all(ChordSymbol $chord): array
    {
        return array_values(array_filter(array_map(
            fn (array $frets): ?Voicing => $this->voicing($chord, $frets, true),
            $this->search($chord),
        )));
    }

    /**
     * A grip somebody chose, as a voicing of this chord; null when four fingers cannot hold it or fewer than two strings sound.
     *
     * @param list<int|null> $frets one for each string, low to high
     * @param bool           $bare  also where a string damped under a barre could not be kept silent, as the bare rules count fingers
     */
    public function voicing(ChordSymbol $chord, array $frets, bool $bare = false): ?Voicing
    {
        $open = $this->neck->openMidi();
        if (count($frets) !== count($open)) {
            throw new GripNotReadable(Frets::text($frets), count($open));
        }
        $midi = [];
        $sounding = 0;
        foreach ($frets as $index => $fret) {
            $midi[] = $fret === null ? null : $open[$index] + $fret;
            $sounding += $fret === null ? 0 : 1;
        }
        $fingering = $sounding < 2
            ? null
            : $this->fingering->easiest($frets, $this->hand) ?? ($bare ? $this->fingering->easiest($frets, $this->hand, true) : null);
        if ($fingering === null) {
            return null;
        }
        $span = $this->span($frets);

        return new Voicing(
            $chord,
            $frets,
            $fingering['fingers'],
            $fingering['barres'],
            $midi,
            $span,
            self::position($frets, $fingering['fingers']),
            $this->difficulty->of($frets, $fingering['cost'], $span, $this->hand),
            $this->unsuitability->of($frets, $open, $this->company),
        );
    }

    /** The strings as they are when no finger lies on them. */
    public function openStrings(ChordSymbol $over): Voicing
    {
        $open = $this->neck->openMidi();
        $none = array_fill(0, count($open), 0);

        return new Voicing($over, $none, $none, [], $open, 0.0, 0, [], []);
    }

    /**
     * What each grip within this hand's reach costs at least, whatever its fingering.
     *
     * @param list<list<int|null>> $grips
     *
     * @return array<int, float> by the grip's place in the list
     */
    private function leastRanks(array $grips): array
    {
        $open = $this->neck->openMidi();
        $reach = $this->hand->reachMm();
        // Every grip the search gives can be held by four fingers with barres, unless a barre had to leave a string silent; another hand
        // has to be asked.
        $plain = $this->hand->barre && ! $this->hand->thumb && $this->hand->avoid === [];
        $ranks = [];
        foreach ($grips as $index => $frets) {
            $span = $this->span($frets);
            $held = $plain && ! self::mayBarreASilentString($frets);
            if ($span <= $reach && ($held || $this->fingering->easiest($frets, $this->hand) !== null)) {
                $fingering = $this->fingering->atLeast($frets, $this->hand);
                $ranks[$index] = array_sum($this->difficulty->of($frets, $fingering, $span, $this->hand))
                    + array_sum($this->unsuitability->of($frets, $open, $this->company));
            }
        }

        return $ranks;
    }

    /**
     * Whether the grip needs a barre and has a silent string inside, which a barre would sound.
     *
     * @param list<int|null> $frets
     */
    private static function mayBarreASilentString(array $frets): bool
    {
        $fretted = 0;
        $silent = false;
        $inside = false;
        foreach ($frets as $fret) {
            $inside = $inside || ($silent && $fret !== null);
            $silent = $fretted > 0 && ($silent || $fret === null);
            $fretted += $fret !== null && $fret > 0 ? 1 : 0;
        }

        return $inside && $fretted > self::FINGERS;
    }

    /** @param list<int|null> $frets */
    private function span(array $frets): float
    {
        $lowest = 99;
        $highest = 0;
        foreach ($frets as $fret) {
            if ($fret !== null && $fret > 0) {
                $lowest = min($lowest, $fret);
                $highest = max($highest, $fret);
            }
        }

        return $highest <= $lowest ? 0.0 : $this->neck->spanMm($lowest, $highest);
    }

    public function strings(): int
    {
        return $this->neck->tuning->strings();
    }

    /** @return list<list<int|null>> */
    private function search(ChordSymbol $chord): array
    {
        $fingers = $this->hand->thumb ? 5 : 4;
        if ($this->kind === null) {
            return (new GripSearch($this->neck, $this->range, Demand::of($chord, $this->company), $fingers))->run();
        }
        $rules = new KindRules($this->kind, $chord, $this->company);
        $open = $this->neck->openMidi();

        return array_values(array_filter(
            (new GripSearch($this->neck, $this->range, $rules->demand(), $fingers))->run(),
            static fn (array $frets): bool => $rules->accepts($frets, $open),
        ));
    }

    /**
     * Where the first finger lies, or would lie when it is not used; 0 when no finger is.
     *
     * @param list<int|null> $frets
     * @param list<int|null> $fingers
     */
    private static function position(array $frets, array $fingers): int
    {
        $places = [];
        foreach ($fingers as $string => $finger) {
            if ($finger !== null && $finger > 0 && $finger !== HandProfile::THUMB) {
                $places[$finger] = (int) $frets[$string];
            }
        }
        if ($places === []) {
            return 0;
        }
        ksort($places);
        $first = array_key_first($places);

        return max(1, $places[$first] - $first + 1);
    }

    private static function bestFirst(Voicing $a, Voicing $b): int
    {
        $order = [$a->rank, $a->position] <=> [$b->rank, $b->position];

        return $order !== 0 ? $order : $a->text() <=> $b->text();
    }
}
