<?php

declare(strict_types=1);

namespace EmberDusk\Joining;

/** What is asked at a step. */
enum Look: string
{
    /** Only done; nothing is looked for. */
    case Hand = 'hand';

    /** A lamp or load is looked at. */
    case Lamp = 'lamp';

    /** The app or a lamp says that it is so, or does not. */
    case Says = 'says';

    /** The app's list is waited for. */
    case List = 'list';

    /** A light is switched in the app: which answers. */
    case Lights = 'lights';
    case Name = 'name';

    /** A control is pressed and the light looked at: on, off, 10 %, 80 %, colour. */
    case Try = 'try';

    /** Something is looked at that may be wrong, and fixed if it is. */
    case Mend = 'mend';
    case End = 'end';
}
