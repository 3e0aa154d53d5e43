<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Role;
use Gravik\Band\Style;
use Gravik\Breakdown\Breakdown;
use Gravik\Breakdown\Cell;
use Gravik\Breakdown\Change\CellSetter;

/**
 * Suggests who leads the chords in every section of every pass: by who solos there, by the style, and by who else plays chords
 * (rules of thumb). One leads at a time; with a soloist the chords go to whoever did not lead in the pass before, so that a
 * band hands over by solo. In a school band nobody sits idle but who solos: whoever lays out gets something easy to do.
 */
final readonly class RoleAdviser
{
    /** @return list<RoleSuggestion> those that differ from what is played there now */
    public function suggest(Heard $heard, Support $support = Support::SmallGroup): array
    {
        $chordal = $heard->chordal();
        $solos = 0;
        $suggested = [];
        $before = null;
        foreach ($heard->timeline->course->visits as $visit) {
            $lead = $heard->soloist($visit);
            $solos += $visit->pass !== $before && $lead !== '' && $before !== null ? 1 : 0;
            $before = $visit->pass;
            foreach ($heard->breakdown->parts as $part) {
                $now = $heard->role($part, $visit->bar);
                [$role, $why] = match (true) {
                    count($chordal) > 1 && in_array($part, $chordal, true) => self::roleOf(
                        $part,
                        $chordal,
                        $heard->style($visit->bar),
                        $lead,
                        $solos,
                    ),
                    $support === Support::SchoolBand && $now === Role::Out => self::task($part),
                    default => [$now, ''],
                };
                if ($now !== $role) {
                    $suggested[] = new RoleSuggestion($part, $visit, $role, $why);
                }
            }
        }

        return $suggested;
    }

    /**
     * The song with these roles.
     *
     * @param list<RoleSuggestion> $suggestions
     */
    public function take(Breakdown $breakdown, array $suggestions): Breakdown
    {
        foreach ($suggestions as $each) {
            $breakdown = (new CellSetter())->set(
                $breakdown,
                $each->visit->pass,
                new Cell($each->part->id, $each->visit->section->id, role: $each->role),
            );
        }

        return $breakdown;
    }

    /**
     * @param list<BandPart> $chordal who plays chords, in the order of the line-up
     *
     * @return array{Role, string}
     */
    private static function roleOf(BandPart $part, array $chordal, Style $style, string $lead, int $solos): array
    {
        $soloist = match (true) {
            preg_match('/guitar/i', $lead) === 1 => Instrument::Guitar,
            preg_match('/piano|keys|organ|accordion/i', $lead) === 1 => Instrument::Keys,
            default => null,
        };
        if ($part->instrument === $soloist) {
            return [Role::Out, "{$lead} solos here: nobody comps for himself"];
        }
        $leader = self::leader($chordal, $soloist, $style, $solos);
        $isGuitar = $part->instrument === Instrument::Guitar;
        if ($part === $leader) {
            return [Role::Active, match (true) {
                $soloist !== null => "{$lead} solos here, so the chords are yours",
                $isGuitar && $style->guitarLeads() => "in {$style->words()} the guitar leads the chords",
                $lead === '' => 'one leads the chords at a time',
                default => "in “{$lead}” this one leads the chords",
            }];
        }

        return match (true) {
            $style->guitarLeads() && $soloist === null => [
                Role::Passive,
                "in {$style->words()} the guitar leads: hold guide tones",
            ],
            $isGuitar && $style === Style::Swing => [
                Role::Four,
                'under active keys in swing the guitar keeps four to the bar, more felt than heard',
            ],
            default => [Role::Passive, 'the other one leads: hold guide tones and fill holes'],
        };
    }

    /**
     * With keys the guitar leads where the style has it so, else from solo to solo by turns with them; two guitars go by turns.
     *
     * @param list<BandPart> $chordal
     */
    private static function leader(array $chordal, ?Instrument $soloist, Style $style, int $solos): ?BandPart
    {
        $byInstrument = array_column(
            array_map(static fn (BandPart $part): array => [$part->instrument->value, $part], $chordal),
            1,
            0,
        );
        $keys = isset($byInstrument[Instrument::Keys->value]);
        $guitarLeads = $style->guitarLeads() || ($solos % 2 === 1) === $keys;
        $other = $keys ? [Instrument::Keys, Instrument::SecondGuitar] : [Instrument::SecondGuitar];
        $order = $guitarLeads ? [Instrument::Guitar, ...$other] : [...$other, Instrument::Guitar];
        $there = array_filter($order, static fn (Instrument $each): bool => $each !== $soloist && isset($byInstrument[$each->value]));

        return $there === [] ? null : $byInstrument[array_values($there)[0]->value];
    }

    /** @return array{Role, string} for who would sit idle */
    private static function task(BandPart $part): array
    {
        return $part->instrument->playsChords()
            ? [Role::Passive, 'in a school band everybody has a task: long notes, softly']
            : [Role::Active, 'in a school band everybody has a task'];
    }
}
