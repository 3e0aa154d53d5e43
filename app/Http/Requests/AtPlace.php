<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Gravik\Chart\Place;

/** What is asked at a bar of the section that is worked at, or of one of its endings. */
trait AtPlace
{
    public function place(): Place
    {
        return new Place(
            $this->desk()->section->id,
            $this->filled('ending') ? $this->integer('ending') : null,
            $this->integer('bar'),
            $this->integer('tick'),
        );
    }

    /** @return array<string, list<string>> */
    private static function placeRules(): array
    {
        return [
            'ending' => ['nullable', 'integer', 'between:0,20'],
            'bar' => ['integer', 'between:0,4000'],
            'tick' => ['integer', 'between:0,100000'],
        ];
    }
}
