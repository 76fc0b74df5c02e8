import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { anyScene, takePhoto } from '../src/standins/camera';
takePhoto(anyScene(3, 1700), FIELD_CARDS);
takePhoto(anyScene(4, 1700), FIELD_CARDS);
