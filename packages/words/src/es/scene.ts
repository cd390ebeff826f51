import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  picks: '{picks}',
  pick: '{kind, select, stretcher {{count, plural, one {# a soga} other {# a soga}}} header {{count, plural, one {# a tizón} other {# a tizón}}} half {{count, plural, one {# media} other {# medias}}} three_quarter {{count, plural, one {# de tres cuartos} other {# de tres cuartos}}} closer {{count, plural, one {# ajuste} other {# ajustes}}} corner {{count, plural, one {# de esquina} other {# de esquina}}} jamb {{count, plural, one {# de jamba} other {# de jamba}}} beam {{count, plural, one {# de viga} other {# de viga}}} bridging {{count, number} sobre huecos} lintel {{count, plural, one {# de dintel} other {# de dintel}}} cap {{count, plural, one {# tapa} other {# tapas}}} cut {{count, plural, one {# corte} other {# cortes}}} other {{count, plural, one {# cortada} other {# cortadas}}}}',
  'not-built': '{by} sin construir',
};
