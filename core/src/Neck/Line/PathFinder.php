<?php

declare(strict_types=1);

namespace Gravik\Neck\Line;

use Gravik\Neck\Failure\NoCommonTop;
use Gravik\Neck\Failure\NoStepwiseBass;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Line\Internal\ChangeCost;
use Gravik\Neck\Line\Internal\RoundSearch;
use Gravik\Neck\Neck;
use Gravik\Neck\NeckException;

/**
 * Chooses one voicing for every chord so that the whole line costs least: the true minimum over the candidates, by
 * dynamic programming. Cost of a line = rank of each grip + cost of each change.
 */
final readonly class PathFinder
{
    /** Candidates a chord that are looked at, the best ones (all where one is pinned). */
    public const CANDIDATES = 60;

    private const ANOTHER_PLACE = 3;

    private ChangeCost $change;

    public function __construct(Neck $neck, private PathWishes $wishes = new PathWishes())
    {
        $this->change = new ChangeCost($neck, $wishes);
    }

    /**
     * @param list<non-empty-list<Voicing>> $candidates for each chord; one alone where it is pinned
     */
    public function cheapest(array $candidates): Path
    {
        if ($candidates === []) {
            return new Path(0.0, [], []);
        }
        $layers = array_map(static fn (array $layer): array => array_slice($layer, 0, self::CANDIDATES), $candidates);
        if ($this->wishes->loop) {
            [$cost, $voicings] = (new RoundSearch(
                $this->change,
                $layers,
                array_map(fn (array $layer): array => array_map($this->own(...), $layer), $layers),
            ))->run();

            return new Path($cost, $voicings, self::moves($voicings));
        }
        $names = array_map(static fn (array $layer): string => implode(',', array_map(spl_object_id(...), $layer)), $layers);
        $unpacked = [];
        foreach ($layers as $chord => $layer) {
            $unpacked[$names[$chord]] ??= array_map($this->change->unpacked(...), $layer);
        }
        $costs = array_map(fn (Voicing $voicing): float => $this->own($voicing), $layers[0]);
        $cameFrom = [];
        // A tune goes round the same changes again and again: what a change costs is worked out once.
        $known = [];
        foreach (array_slice($layers, 1) as $chord => $layer) {
            [$from, $to] = [$names[$chord], $names[$chord + 1]];
            $known[$from][$to] ??= [];
            [$costs, $cameFrom[]] = $this->step($costs, $unpacked[$from], $layer, $unpacked[$to], $known[$from][$to]);
        }

        return $this->traced($layers, $costs, $cameFrom);
    }

    /**
     * The same, with one note kept on top of every grip.
     *
     * @param list<non-empty-list<Voicing>> $candidates
     *
     * @throws NeckException when no note can stay on top throughout
     */
    public function cheapestWithCommonTop(array $candidates): Path
    {
        $tops = array_map(
            static fn (array $layer): array => array_values(array_unique(array_map(
                static fn (Voicing $voicing): int => $voicing->topMidi(),
                $layer,
            ))),
            $candidates,
        );
        $common = $tops === [] ? [] : array_values(array_intersect(...$tops));
        $best = null;
        foreach ($common as $top) {
            $kept = [];
            foreach ($candidates as $layer) {
                $withTop = array_values(array_filter($layer, static fn (Voicing $voicing): bool => $voicing->topMidi() === $top));
                if ($withTop !== []) {
                    $kept[] = $withTop;
                }
            }
            $path = $this->cheapest($kept);
            if ($best === null || $path->cost < $best->cost) {
                $best = $path;
            }
        }

        return $best ?? throw new NoCommonTop();
    }

    /**
     * By all that is wished for: a common top, a bass that goes by steps, one grip moved.
     *
     * @param list<non-empty-list<Voicing>> $candidates
     *
     * @throws NeckException where the candidates do not allow it
     */
    public function asWished(array $candidates): Path
    {
        $path = $this->wishes->keepTop && $candidates !== [] ? $this->cheapestWithCommonTop($candidates) : $this->cheapest($candidates);

        return is_finite($path->cost) ? $path : throw new NoStepwiseBass();
    }

    /**
     * The same line in a second place on the neck: every grip lies three frets or more from where it lay, as far as a
     * chord allows.
     *
     * @param list<non-empty-list<Voicing>> $candidates
     *
     * @throws NeckException
     */
    public function elsewhere(array $candidates, Path $first): Path
    {
        $others = [];
        foreach ($candidates as $chord => $layer) {
            $before = $first->voicings[$chord]->position;
            $away = array_values(array_filter(
                $layer,
                static fn (Voicing $voicing): bool => abs($voicing->position - $before) >= self::ANOTHER_PLACE,
            ));
            $others[] = $away === [] ? $layer : $away;
        }

        return $this->asWished($others);
    }

    /**
     * Grips for one chord of a line, those first that cost least between the grips before and after it.
     *
     * @param list<Voicing> $grips in their own order, which holds where nothing lies beside them
     *
     * @return list<Voicing>
     */
    public function inLine(array $grips, ?Voicing $before, ?Voicing $after): array
    {
        if ($before === null && $after === null) {
            return $grips;
        }
        $costs = array_map(fn (Voicing $grip): float => $this->costOf(...array_filter([$before, $grip, $after])), $grips);
        asort($costs);

        return array_map(static fn (int $place): Voicing => $grips[$place], array_keys($costs));
    }

    /** The cost of any given line, by the same weights; with the way back to its first grip where it comes round again. */
    public function costOf(Voicing ...$line): float
    {
        $cost = 0.0;
        $before = null;
        foreach ($line as $voicing) {
            $unpacked = $this->change->unpacked($voicing);
            $cost += $this->own($voicing) + ($before === null ? 0.0 : $this->change->between($before, $unpacked));
            $before = $unpacked;
        }
        if ($this->wishes->loop && $before !== null && count($line) > 1) {
            $cost += $this->change->between($before, $this->change->unpacked(array_values($line)[0]));
        }

        return $cost;
    }

    /**
     * One more chord: for each of its grips the cheapest way to get there. Grips before it are tried cheapest first,
     * and the rest are left out once they alone cost more than the best way found: a change never costs less than 0.
     *
     * @param non-empty-list<float>                                                                $costs
     * @param non-empty-list<array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>}>    $before
     * @param non-empty-list<Voicing>                                                              $layer
     * @param non-empty-list<array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>}>    $unpacked
     *
     * @param array<int, float> $known what changes between these two layers cost, filled as they are asked for
     *
     * @return array{non-empty-list<float>, non-empty-list<int>}
     */
    private function step(array $costs, array $before, array $layer, array $unpacked, array &$known): array
    {
        asort($costs);
        $next = [];
        $from = [];
        foreach ($unpacked as $place => $to) {
            $least = INF;
            $via = 0;
            foreach ($costs as $earlier => $cost) {
                if ($cost >= $least) {
                    break;
                }
                $total = $cost + ($known[self::CANDIDATES * $earlier + $place] ??= $this->change->between($before[$earlier], $to));
                if ($total < $least) {
                    $least = $total;
                    $via = $earlier;
                }
            }
            $next[] = $least + $this->own($layer[$place]);
            $from[] = $via;
        }

        return [$next, $from];
    }

    private function own(Voicing $voicing): float
    {
        return $this->wishes->weights->rank * $voicing->rank;
    }

    /**
     * @param non-empty-list<non-empty-list<Voicing>> $layers
     * @param non-empty-list<float>                   $costs
     * @param list<non-empty-list<int>>               $cameFrom
     */
    private function traced(array $layers, array $costs, array $cameFrom): Path
    {
        $cost = min($costs);
        $place = (int) array_search($cost, $costs, true);
        $voicings = [];
        for ($chord = count($layers) - 1; $chord >= 0; $chord--) {
            array_unshift($voicings, $layers[$chord][$place]);
            $place = $chord > 0 ? $cameFrom[$chord - 1][$place] : 0;
        }

        return new Path($cost, $voicings, self::moves($voicings));
    }

    /**
     * @param list<Voicing> $voicings
     *
     * @return list<array{frets: int, held: int, top: int}>
     */
    private static function moves(array $voicings): array
    {
        $moves = [];
        foreach (array_slice($voicings, 1) as $place => $to) {
            $from = $voicings[$place];
            $held = 0;
            foreach ($to->frets as $string => $fret) {
                $held += $fret !== null && $fret === $from->frets[$string] ? 1 : 0;
            }
            $moves[] = ['frets' => $to->position - $from->position, 'held' => $held, 'top' => $to->topMidi() - $from->topMidi()];
        }

        return $moves;
    }
}
