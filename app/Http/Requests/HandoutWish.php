<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Handout\HandoutWishes;
use Gravik\Handout\Paper;
use Gravik\Handout\Part;
use Illuminate\Validation\Rule;

/** What is wanted on the page, said the same way wherever it is asked for. */
trait HandoutWish
{
    /** @return array<string, mixed> */
    protected static function handoutRules(): array
    {
        return [
            'parts' => ['sometimes', 'string', 'max:200'],
            'paper' => ['sometimes', Rule::enum(Paper::class)],
            'large' => ['sometimes', 'boolean'],
            'left_handed' => ['sometimes', 'boolean'],
            'high_on_top' => ['sometimes', 'boolean'],
            'for' => ['sometimes', 'nullable', 'string', 'max:60'],
            'hand_bars' => ['sometimes', 'integer', 'in:1,2,4'],
            'names' => ['sometimes', 'boolean'],
        ];
    }

    public function wishes(): HandoutWishes
    {
        $parts = array_filter(array_map(
            static fn (string $part): ?Part => Part::tryFrom(trim($part)),
            explode(',', $this->string('parts', implode(',', array_column(Part::cases(), 'value')))->toString()),
        ));

        return new HandoutWishes(
            array_values($parts),
            $this->enum('paper', Paper::class) ?? Paper::A4,
            $this->boolean('large'),
            $this->boolean('left_handed'),
            $this->boolean('high_on_top'),
            $this->string('for')->toString(),
            $this->integer('hand_bars', 2),
            $this->boolean('names', true),
        );
    }
}
