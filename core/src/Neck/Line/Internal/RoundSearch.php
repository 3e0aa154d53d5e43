<?php

declare(strict_types=1);

namespace Gravik\Neck\Line\Internal;

use Gravik\Neck\Grip\Voicing;

/**
 * The cheapest line that comes round to its first grip again. Starts are tried in the order of what a line from them
 * costs at least, and the search ends when no later one can be cheaper: a change never costs less than 0.
 *
 * @internal used by PathFinder
 *
 * @phpstan-type Unpacked array{mm: ?float, top: int, bass: int, shape: string, fingers: array<int, array{int, int}>}
 */
final class RoundSearch
{
    /** @var list<list<array<int, float>>> per change: from => to => cost, filled as it is asked for */
    private array $known = [];

    /** @var list<list<Unpacked>> */
    private readonly array $unpacked;

    /**
     * @param non-empty-list<non-empty-list<Voicing>> $layers
     * @param list<list<float>>                       $own    what each grip costs by itself
     */
    public function __construct(private readonly ChangeCost $change, private readonly array $layers, private readonly array $own)
    {
        $this->unpacked = array_map(static fn (array $layer): array => array_map($change->unpacked(...), $layer), $layers);
    }

    /** @return array{float, list<Voicing>} */
    public function run(): array
    {
        $atLeast = $this->leastFromEachStart();
        asort($atLeast);
        $best = INF;
        $line = [];
        foreach ($atLeast as $start => $least) {
            if ($least >= $best) {
                break;
            }
            [$cost, $places] = $this->from($start);
            if ($cost < $best || $line === []) {
                $best = $cost;
                $line = array_map(fn (int $chord, int $place): Voicing => $this->layers[$chord][$place], array_keys($places), $places);
            }
        }

        return [$best, $line];
    }

    /** @return array<int, float> */
    private function leastFromEachStart(): array
    {
        $last = count($this->layers) - 1;
        $toGo = $this->own[$last];
        for ($chord = $last - 1; $chord >= 0; $chord--) {
            $before = [];
            foreach (array_keys($this->layers[$chord]) as $from) {
                $least = INF;
                foreach ($toGo as $to => $rest) {
                    $least = min($least, $this->cost($chord, $from, $to) + $rest);
                }
                $before[] = $this->own[$chord][$from] + $least;
            }
            $toGo = $before;
        }

        return $toGo;
    }

    /** @return array{float, list<int>} the cheapest round that starts with this grip, and its place in each layer */
    private function from(int $start): array
    {
        $costs = [$start => $this->own[0][$start]];
        $cameFrom = [];
        $last = count($this->layers) - 1;
        for ($chord = 0; $chord < $last; $chord++) {
            $next = [];
            foreach (array_keys($this->layers[$chord + 1]) as $to) {
                $next[$to] = INF;
                foreach ($costs as $from => $cost) {
                    $total = $cost + $this->cost($chord, $from, $to) + $this->own[$chord + 1][$to];
                    if ($total < $next[$to]) {
                        $next[$to] = $total;
                        $cameFrom[$chord + 1][$to] = $from;
                    }
                }
            }
            $costs = $next;
        }
        $best = INF;
        $place = array_key_first($costs);
        foreach ($costs as $end => $cost) {
            $total = $cost + ($last === 0 ? 0.0 : $this->change->between($this->unpacked[$last][$end], $this->unpacked[0][$start]));
            if ($total < $best) {
                [$best, $place] = [$total, $end];
            }
        }
        $places = [$place];
        for ($chord = $last; $chord > 0; $chord--) {
            $place = $cameFrom[$chord][$place] ?? 0;
            array_unshift($places, $place);
        }

        return [$best, $places];
    }

    private function cost(int $chord, int $from, int $to): float
    {
        return $this->known[$chord][$from][$to] ??= $this->change->between(
            $this->unpacked[$chord][$from],
            $this->unpacked[$chord + 1][$to],
        );
    }
}
