<?php

declare(strict_types=1);

// What is said of a field that has not the shape it needs, where the request itself says nothing better.
return [
    'array' => '“:attribute” should be a list or a set of named values.',
    'between' => [
        'numeric' => '“:attribute” goes from :min to :max.',
        'string' => '“:attribute” has :min to :max characters.',
        'array' => '“:attribute” has :min to :max entries.',
    ],
    'boolean' => '“:attribute” is either true or false.',
    'enum' => '“:attribute” is none of the values that are known.',
    'in' => '“:attribute” is none of the values that are known.',
    'integer' => '“:attribute” should be a whole number.',
    'list' => '“:attribute” should be a list.',
    'max' => [
        'numeric' => '“:attribute” is :max at the most.',
        'string' => '“:attribute” has :max characters at the most.',
        'array' => '“:attribute” has :max entries at the most.',
    ],
    'min' => [
        'numeric' => '“:attribute” is :min at the least.',
        'string' => '“:attribute” has :min characters at the least.',
        'array' => '“:attribute” has :min entries at the least.',
    ],
    'numeric' => '“:attribute” should be a number.',
    'present' => '“:attribute” is missing.',
    'regex' => '“:attribute” has characters that do not belong there.',
    'required' => '“:attribute” is missing.',
    'required_with' => '“:attribute” is missing.',
    'string' => '“:attribute” should be text.',
    'ulid' => '“:attribute” is no id that Gravik makes.',
];
