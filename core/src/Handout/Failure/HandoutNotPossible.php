<?php

declare(strict_types=1);

namespace Gravik\Handout\Failure;

use Gravik\Handout\HandoutException;

final class HandoutNotPossible extends HandoutException {}
