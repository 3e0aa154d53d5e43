<?php

declare(strict_types=1);

use Tests\TestCase;

uses(TestCase::class)->in('Feature', 'Browser');
uses(Illuminate\Foundation\Testing\RefreshDatabase::class)->in('Feature');
