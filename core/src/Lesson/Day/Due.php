<?php

declare(strict_types=1);

namespace Gravik\Lesson\Day;

/** Something that could be practised today. */
final readonly class Due
{
    /** A check takes so long: two goes and a look at the result, minutes. */
    public const CHECK_MINUTES = 4;

    /** Less is no practice, more is no concentration: minutes of one thing in a row. */
    public const LEAST = 5;

    public const MOST = 25;

    /** How hard something is: not played yet, failed the last time, held, and held for long (rules of thumb). */
    private const HARDNESS = ['new' => 0.7, 'failed' => 0.9, 'held' => 0.4, 'check' => 0.3];

    /**
     * @param int   $wanted   minutes it would take today
     * @param int   $least    minutes without which it is not begun
     * @param float $urgency  0 (can wait) and more
     * @param float $hardness 0 (holds) to 1 (new, or failing)
     * @param string $reason  why it stands there, in words
     * @param bool  $isLate   whether its day is over
     */
    private function __construct(
        public string $id,
        public bool $isCheck,
        public int $wanted,
        public int $least,
        public float $urgency,
        public float $hardness,
        public string $reason,
        public bool $isLate,
    ) {}

    /** @param int $daysLate 0 = today */
    public static function check(string $id, int $daysLate, int $everyDays): self
    {
        $reason = match (true) {
            $daysLate <= 0 => "check after {$everyDays} days",
            $daysLate === 1 => "check after {$everyDays} days, due yesterday",
            default => "check after {$everyDays} days, {$daysLate} days late",
        };

        return new self(
            $id,
            true,
            self::CHECK_MINUTES,
            self::CHECK_MINUTES,
            2.0 + min(7, max(0, $daysLate)) / 7,
            self::HARDNESS['check'],
            $reason,
            $daysLate > 0,
        );
    }

    /**
     * @param int   $minutes  of its ladder
     * @param ?int  $daysLeft until it is due, negative where it is late; null where no day is set
     * @param ?bool $passed   whether the last take of it passed; null where there is none
     * @param float $tempo    of that take, beats a minute
     */
    public static function assignment(string $id, int $minutes, ?int $daysLeft, ?bool $passed, float $tempo = 0.0): self
    {
        [$hardness, $state] = match ($passed) {
            null => [self::HARDNESS['new'], 'new'],
            false => [self::HARDNESS['failed'], 'not there yet'],
            true => [self::HARDNESS['held'], sprintf('clean at %g', $tempo)],
        };
        $when = match (true) {
            $daysLeft === null => '',
            $daysLeft < -1 => sprintf('%d days late', -$daysLeft),
            $daysLeft === -1 => 'due yesterday',
            $daysLeft === 0 => 'due today',
            $daysLeft === 1 => 'due tomorrow',
            default => "due in {$daysLeft} days",
        };

        return new self(
            $id,
            false,
            max(self::LEAST, min(self::MOST, $minutes)),
            self::LEAST,
            $daysLeft === null ? 1.0 : 1.0 + 2.0 / (1 + max(0, $daysLeft)),
            $hardness,
            implode(', ', array_filter([$state, $when], static fn (string $each): bool => $each !== '')),
            $daysLeft !== null && $daysLeft < 0,
        );
    }

    /** The same on a day on which the hand hurts: short, and nothing is pressed for. */
    public function spared(): self
    {
        $wanted = min(self::LEAST, $this->wanted);

        return new self(
            $this->id, $this->isCheck, $wanted, $this->least, $this->urgency, $this->hardness, $this->reason, $this->isLate,
        );
    }
}
