<?php

declare(strict_types=1);

namespace App\Screens;

use EmberDusk\Values\JsonWritable;
use JsonSerializable;

/** Data that a page is sent. bin/schemas makes its schema from the constructor, and TypeScript's type is made from that. */
interface View extends JsonSerializable, JsonWritable {}
