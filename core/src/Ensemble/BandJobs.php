<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;

/**
 * Shares a tune out in a band: whoever plays an instrument plays its part, those who play the same one go by turns from pass to
 * pass, and whoever does not play has a task.
 */
final readonly class BandJobs
{
    /** Two with the same task in one pass are worse than any repetition. */
    private const TWICE = 100;

    /** So many are looked at together; more would be too many ways to try. */
    private const TOGETHER = 6;

    /**
     * @param list<BandMember> $members
     *
     * @return array<string, list<BandJob>> by pass, one for each member in their order
     */
    public function share(Heard $heard, array $members): array
    {
        $played = array_fill_keys(array_column($members, 'id'), 0);
        $had = [];
        $jobs = [];
        foreach ($heard->breakdown->passes as $pass) {
            $playing = $this->playing($heard, $pass->id, $members, $played);
            foreach (array_keys($playing) as $member) {
                $played[$member]++;
            }
            $spared = array_values(array_filter(array_column($members, 'id'), static fn (int $id): bool => ! isset($playing[$id])));
            $tasks = $this->tasks($spared, $had);
            foreach ($tasks as $member => $task) {
                $had[$member][$task->value] = ($had[$member][$task->value] ?? 0) + 1;
            }
            $jobs[$pass->id] = array_map(
                static fn (BandMember $member): BandJob => $playing[$member->id] ?? BandJob::spared($member->id, $tasks[$member->id]),
                $members,
            );
        }

        return $jobs;
    }

    /**
     * @param list<BandMember> $members
     * @param array<int, int>  $played passes each has played so far
     *
     * @return array<int, BandJob> by member
     */
    private function playing(Heard $heard, string $pass, array $members, array $played): array
    {
        $jobs = [];
        foreach (Instrument::cases() as $instrument) {
            $own = array_values(array_filter($members, static fn (BandMember $member): bool => $member->plays === $instrument));
            usort($own, static fn (BandMember $a, BandMember $b): int => $played[$a->id] <=> $played[$b->id]);
            foreach ($heard->breakdown->parts as $part) {
                $role = $part->instrument === $instrument ? self::roleIn($heard, $part, $pass) : Role::Out;
                if ($role !== Role::Out && $own !== []) {
                    $member = array_shift($own)->id;
                    $jobs[$member] = BandJob::plays($member, $part, $role);
                }
            }
        }

        return $jobs;
    }

    /** What a part does first in a pass; out where it does not play at all. */
    private static function roleIn(Heard $heard, BandPart $part, string $pass): Role
    {
        foreach ($heard->timeline->course->visits as $visit) {
            $role = $visit->pass === $pass ? $heard->role($part, $visit->bar) : Role::Out;
            if ($role !== Role::Out) {
                return $role;
            }
        }

        return Role::Out;
    }

    /**
     * Of all ways to give them tasks the one in which the fewest have the same task at once, and then the fewest one they had
     * before.
     *
     * @param list<int> $spared members
     * @param array<int, array<string, int>> $had how often each had a task so far
     *
     * @return array<int, SparedTask> by member
     */
    private function tasks(array $spared, array $had): array
    {
        $all = [];
        foreach (array_chunk($spared, self::TOGETHER) as $some) {
            [$best, $least] = [[], PHP_INT_MAX];
            for ($way = 0; $way < count(SparedTask::cases()) ** count($some); $way++) {
                $tasks = $seen = [];
                $cost = 0;
                foreach ($some as $place => $member) {
                    $task = SparedTask::cases()[intdiv($way, count(SparedTask::cases()) ** $place) % count(SparedTask::cases())];
                    $cost += ($had[$member][$task->value] ?? 0) ** 2 + (isset($seen[$task->value]) ? self::TWICE : 0);
                    $seen[$task->value] = true;
                    $tasks[$member] = $task;
                }
                if ($cost < $least) {
                    [$best, $least] = [$tasks, $cost];
                }
            }
            $all += $best;
        }

        return $all;
    }
}
