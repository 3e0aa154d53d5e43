<?php

declare(strict_types=1);

namespace Gravik\Neck\Melody;

use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\HandProfile;
use Gravik\Neck\Neck;

/** A grip that stays while a line is played over it: which fingers it leaves free, and how each note of the line is had. */
final readonly class HeldShell
{
    /** @var array<int, int> finger 1 to 4 => the fret it holds */
    private array $held;

    public function __construct(private Neck $neck, private Voicing $grip, private HandProfile $hand = new HandProfile())
    {
        $held = [];
        foreach ($grip->fingers as $string => $finger) {
            if ($finger !== null && $finger >= 1 && $finger <= 4) {
                $held[$finger] = (int) $grip->frets[$string];
            }
        }
        ksort($held);
        $this->held = $held;
    }

    /** @return list<int> fingers 1 to 4 that hold nothing */
    public function free(): array
    {
        return array_values(array_diff($this->hand->fingers(), array_keys($this->held)));
    }

    /** How a note is had without letting the grip go; ByLettingGo where it cannot be. */
    public function way(RiffNote $note): LineWay
    {
        $below = $this->fretUnder($note);

        return match (true) {
            $below === $note->fret => LineWay::InTheGrip,
            $note->fret === 0 && $below === null => LineWay::OpenString,
            $this->fingersFor($note) !== [] => LineWay::FreeFinger,
            default => LineWay::ByLettingGo,
        };
    }

    /**
     * Fingers rise with the frets, a finger behind another on its string changes nothing, and the whole hand spans no more
     * than it can.
     *
     * @return list<int> free fingers that can take the note while the grip is held
     */
    public function fingersFor(RiffNote $note): array
    {
        $frets = [...array_values($this->held), $note->fret];
        if ($note->fret <= ($this->fretUnder($note) ?? 0) || $this->neck->spanMm(min($frets), max($frets)) > $this->hand->reachMm()) {
            return [];
        }

        return array_values(array_filter($this->free(), function (int $finger) use ($note): bool {
            foreach ($this->held as $other => $fret) {
                if ($other < $finger ? $fret > $note->fret : $fret < $note->fret) {
                    return false;
                }
            }

            return true;
        }));
    }

    /** @return ?int at which the grip stops the note's string, 0 where it sounds open; null where it does not touch it */
    private function fretUnder(RiffNote $note): ?int
    {
        return $this->grip->frets[count($this->grip->frets) - $note->string] ?? null;
    }
}
