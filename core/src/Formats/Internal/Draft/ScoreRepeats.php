<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Draft;

use SimpleXMLElement;

/**
 * The repeat signs and endings of a score, and the way through its bars that they tell.
 *
 * @internal used by ScoreBars
 */
final class ScoreRepeats
{
    private const MOST_TIMES = 16;

    /** @var array<int, true> bars that a repeat goes back to */
    private array $opens = [];

    /** @var array<int, int> bar => how often the stretch is played that ends with it */
    private array $back = [];

    /** @var array<int, list<int>> bar => the times in which it is played */
    private array $endings = [];

    /** @var list<int> of the ending that is open while bars are read */
    private array $ending = [];

    public function read(SimpleXMLElement $measure, int $number): void
    {
        foreach ($measure->barline as $line) {
            // Some write the sign that ends a stretch to the left of the next bar.
            $left = (string) $line['location'] === 'left';
            $last = $left ? $number - 1 : $number;
            $direction = (string) $line->repeat['direction'];
            $type = (string) $line->ending['type'];
            if ($left && $direction === 'backward') {
                $this->ending = [];
            }
            if ($type === 'start') {
                $this->ending = self::times((string) $line->ending['number']);
            }
            if ($this->ending !== []) {
                $this->endings[$number] = $this->ending;
            }
            if ($direction === 'forward') {
                $this->opens[$number] = true;
            }
            if ($direction === 'backward' && $last >= 0) {
                $this->back[$last] = max(2, min(self::MOST_TIMES, (int) ($line->repeat['times'] ?? 2)));
            }
            // Not all say where the last ending stops; a double line does.
            $double = str_contains((string) $line->{'bar-style'}, '-');
            if (! $left && ($double || $direction === 'backward' || in_array($type, ['stop', 'discontinue'], true))) {
                $this->ending = [];
            }
        }
        if ($this->ending !== []) {
            $this->endings[$number] = $this->ending;
        }
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<int> bars that are not come to, whatever time it is
     */
    public function neverPlayed(array $bars): array
    {
        $played = $this->order(count($bars), 16 * count($bars));

        return array_values(array_diff(array_keys($bars), array_column($played, 0)));
    }

    /**
     * The bars as they are played, at most so many. Where a stretch begins or ends, a section does.
     *
     * @param list<DraftBar> $bars
     *
     * @return list<DraftBar>
     */
    public function unfolded(array $bars, int $most): array
    {
        $names = self::namesInForce($bars);

        return array_map(
            static fn (array $each): DraftBar => $each[1] ? $bars[$each[0]]->of($names[$each[0]]) : $bars[$each[0]],
            $this->order(count($bars), $most),
        );
    }

    /** @return list<array{int, bool}> bars in the order in which they are played, and whether a stretch begins with it */
    private function order(int $bars, int $most): array
    {
        if ($this->back === []) {
            return array_map(static fn (int $bar): array => [$bar, false], $bars === 0 ? [] : range(0, $bars - 1));
        }
        $played = [];
        $from = $bar = 0;
        $time = 1;
        $begins = false;
        while ($bar < $bars && count($played) < $most) {
            if (isset($this->opens[$bar]) && $bar !== $from) {
                [$from, $time] = [$bar, 1];
            }
            $begins = $begins || isset($this->opens[$bar]);
            if (isset($this->endings[$bar]) && ! in_array($time, $this->endings[$bar], true)) {
                $bar++;

                continue;
            }
            $played[] = [$bar, $begins];
            $begins = false;
            if (isset($this->back[$bar]) && $time < $this->timesOf($bar)) {
                [$bar, $time, $begins] = [$from, $time + 1, true];

                continue;
            }
            $endsHere = isset($this->endings[$bar]) && ($this->endings[$bar + 1] ?? null) !== $this->endings[$bar];
            $over = isset($this->back[$bar]) || $endsHere;
            $bar++;
            if ($over) {
                // Endings of other times that still stand here belong to the stretch that is over.
                while (isset($this->endings[$bar]) && ! in_array($time, $this->endings[$bar], true)) {
                    $bar++;
                }
                [$from, $time, $begins] = [$bar, 1, true];
            }
        }

        return $played;
    }

    /** How often the stretch is played that goes back here: as its endings say, those that follow among them. */
    private function timesOf(int $bar): int
    {
        if (! isset($this->endings[$bar])) {
            return $this->back[$bar];
        }
        $most = 1;
        for ($next = $bar; isset($this->endings[$next]); $next++) {
            $most = max($most, ...$this->endings[$next]);
        }

        return $most;
    }

    /** @return list<int> */
    private static function times(string $number): array
    {
        preg_match_all('/\d+/', mb_substr($number, 0, 60), $found);

        $times = array_map('intval', $found[0]);

        return array_values(array_filter($times, static fn (int $time): bool => $time >= 1 && $time <= self::MOST_TIMES));
    }

    /**
     * @param list<DraftBar> $bars
     *
     * @return list<string>
     */
    private static function namesInForce(array $bars): array
    {
        $name = '';

        return array_map(static function (DraftBar $bar) use (&$name): string {
            return $name = $bar->section ?? $name;
        }, $bars);
    }
}
