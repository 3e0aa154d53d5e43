<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Band\Role;
use Gravik\Chart\Course;
use Gravik\Chart\VoicingLine;
use Gravik\Strokes\NamedPattern;

/** What the guitar does otherwise in a pass than in the one before it, in words: "As the 1st, but level 3; bars 9–10 as written." */
final readonly class PassDifferences
{
    public function __construct(private Breakdown $breakdown) {}

    /** @return list<string> one sentence a pass; the first has none before it: "" */
    public function words(): array
    {
        $course = $this->breakdown->course();
        $playings = $this->breakdown->playings($course, $this->breakdown->guitar()->id);
        $words = [];
        $before = null;
        foreach ($this->breakdown->passes as $place => $pass) {
            $bars = array_keys(array_filter(
                $course->bars,
                static fn ($bar): bool => $course->visits[$bar->visit]->pass === $pass->id,
            ));
            $words[] = $before === null ? '' : $this->sentence($course, $place, $bars, array_map(
                static fn (int $bar, int $then): array => [$playings[$bar], $playings[$then]],
                $bars,
                $before,
            ));
            $before = $bars;
        }

        return $words;
    }

    /**
     * @param list<int>                      $bars of the course
     * @param list<array{Playing, Playing}> $pairs how each is played now, and was in the pass before
     */
    private function sentence(Course $course, int $place, array $bars, array $pairs): string
    {
        $says = [];
        foreach ($this->questions() as $ask) {
            $byAnswer = [];
            foreach ($pairs as $number => [$now, $then]) {
                if ($ask($now) !== $ask($then)) {
                    $byAnswer[$ask($now)][] = $course->form->bars[$course->bars[$bars[$number]]->written]->number;
                }
            }
            foreach ($byAnswer as $answer => $where) {
                $says[] = count($where) === count($bars) ? $answer : self::bars($where).' '.$answer;
            }
        }
        $says = [...$says, ...$this->figures($course, $this->breakdown->passes[$place]->id, $this->breakdown->passes[$place - 1]->id)];
        $as = 'As the '.self::ordinal($place);

        return $says === [] ? "{$as}." : "{$as}, but ".implode('; ', $says).'.';
    }

    /** @return list<string> figures that are played in a pass and not in the one before, and the other way round */
    private function figures(Course $course, string $pass, string $before): array
    {
        $says = [];
        foreach ([['', $pass, $before], ['without ', $before, $pass]] as [$without, $in, $notIn]) {
            $byName = [];
            foreach ($this->breakdown->played as $each) {
                $plays = static fn (string $id): bool => $each->passes === null || in_array($id, $each->passes, true);
                $number = $plays($in) && ! $plays($notIn) ? $course->form->numberAt($each->at) : null;
                if ($number !== null) {
                    $byName[$each->figure->name === '' ? 'a figure' : "“{$each->figure->name}”"][] = $number;
                }
            }
            foreach ($byName as $name => $where) {
                $says[] = self::bars($where).' '.$without.$name;
            }
        }

        return $says;
    }

    /** @return list<callable(Playing): string> */
    private function questions(): array
    {
        return [
            static fn (Playing $playing): string => $playing->role === Role::Out ? 'out' : 'playing',
            fn (Playing $playing): string => $this->called($playing->pattern, $this->breakdown->patterns, 'strokes'),
            static fn (Playing $playing): string => "level {$playing->level}",
            fn (Playing $playing): string => $this->called($playing->line, $this->breakdown->lines, 'grips'),
            static fn (Playing $playing): string => match ($playing->texture) {
                Texture::Pattern => 'in the pattern',
                Texture::Written => 'as written',
                Texture::Free => 'free',
                Texture::Rings => 'ringing only',
            },
            static fn (Playing $playing): string => match (true) {
                $playing->dynamic > 1 => 'much louder',
                $playing->dynamic > 0 => 'louder',
                $playing->dynamic < -1 => 'much softer',
                $playing->dynamic < 0 => 'softer',
                default => 'as loud as the song',
            },
        ];
    }

    /** @param list<NamedPattern>|list<VoicingLine> $list */
    private function called(NamedPattern|VoicingLine $one, array $list, string $kind): string
    {
        $number = 1 + (int) array_search($one->id, array_column($list, 'id'), true);

        return $one->name === '' ? "{$kind} {$number}" : "{$kind} “{$one->name}”";
    }

    /** @param non-empty-list<int> $numbers */
    private static function bars(array $numbers): string
    {
        $numbers = array_values(array_unique($numbers));
        sort($numbers);
        $runs = [];
        foreach ($numbers as $number) {
            $last = count($runs) - 1;
            if ($last >= 0 && $runs[$last][1] === $number - 1) {
                $runs[$last][1] = $number;
            } else {
                $runs[] = [$number, $number];
            }
        }
        $said = array_map(static fn (array $run): string => $run[0] === $run[1] ? (string) $run[0] : "{$run[0]}–{$run[1]}", $runs);

        return (count($numbers) === 1 ? 'bar ' : 'bars ').implode(', ', $said);
    }

    public static function ordinal(int $number): string
    {
        $ending = match (true) {
            in_array($number % 100, [11, 12, 13], true) => 'th',
            $number % 10 === 1 => 'st',
            $number % 10 === 2 => 'nd',
            $number % 10 === 3 => 'rd',
            default => 'th',
        };

        return $number.$ending;
    }
}
